package westtide.review.finding;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import westtide.song.id.PartId;
import westtide.song.line.Note;

/**
 * What tells a finding from all others, so that it can be ignored and stays so: the check that made
 * it, whose music it is about, and where in it. A note is told by where it starts and by its key,
 * which stay as they are when another one is put before it.
 *
 * @param check the check
 * @param part the part, where it is about one
 * @param pattern the pattern or progression, where it is about one
 * @param place what else tells it: ticks, steps, keys, figures
 */
public record FindingId(
    Check check, Optional<PartId> part, Optional<String> pattern, List<String> place) {
  /** Copies the place. */
  public FindingId {
    place = List.copyOf(place);
  }

  /** A finding about the song as a whole. */
  public static FindingId of(Check check) {
    return new FindingId(check, Optional.empty(), Optional.empty(), List.of());
  }

  /** A finding about a part. */
  public static FindingId of(Check check, PartId part) {
    return new FindingId(check, Optional.of(part), Optional.empty(), List.of());
  }

  /** A finding about a pattern of a part. */
  public static FindingId of(Check check, PartId part, String pattern) {
    return new FindingId(check, Optional.of(part), Optional.of(pattern), List.of());
  }

  /** The same at a place, told by what is joined to it. */
  public FindingId at(Object... more) {
    List<String> out = new ArrayList<>(place);
    Arrays.stream(more).map(String::valueOf).forEach(out::add);
    return new FindingId(check, part, pattern, out);
  }

  /** The same at a written note. */
  public FindingId at(Note note) {
    return at(note.start(), note.key());
  }

  /** The id in song files, such as {@code "drums.slip.drums.A.CLOSED_HAT.3.120"}. */
  public String code() {
    Stream<String> about = Stream.concat(part.map(PartId::toString).stream(), pattern.stream());
    return Stream.concat(Stream.of(check.code()), Stream.concat(about, place.stream()))
        .collect(Collectors.joining("."));
  }

  @Override
  public String toString() {
    return code();
  }
}
