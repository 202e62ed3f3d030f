package westtide.song.edit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import westtide.rhythm.Meter;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.drum.BorrowedLane;
import westtide.song.drum.LaneId;
import westtide.song.form.Cell;
import westtide.song.id.PartId;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/**
 * Edits of which patterns a part has and what they are called, whatever their kind.
 *
 * @param part the part's id
 * @param pattern the pattern's name
 */
public record PatternEdits(PartId part, String pattern) {
  /** Adds a copy of this pattern under another name. */
  public Edit copyAs(String name) {
    return Edit.named(
        song -> "Copy " + what(song) + " as " + name,
        song ->
            song.withPart(part, p -> p.with(new NamedPattern(name, p.pattern(pattern).pattern()))));
  }

  /** Adds a pattern to the part, or puts it in the place of the one of this name. */
  public Edit add(Pattern added) {
    return Edit.named(
        song -> "Add " + what(song),
        song -> song.withPart(part, p -> p.with(new NamedPattern(pattern, added))));
  }

  /**
   * Deletes the pattern; grooves that followed it stand alone, cells that played it play the first
   * of those left. The last pattern stays.
   */
  public Edit drop() {
    return Edit.named(song -> "Delete " + what(song), this::dropped);
  }

  /**
   * Calls the pattern by another name wherever it is used; applied, it throws {@link
   * IllegalArgumentException} when the name is empty or taken.
   */
  public Edit rename(String name) {
    return Edit.named(
        song -> "Rename " + what(song) + " to " + name, song -> renamed(song, name.strip()));
  }

  private String what(Song song) {
    return pattern + " of " + song.part(part).map(Part::name).orElse("a part");
  }

  private Song dropped(Song song) {
    Part old = song.part(part).orElseThrow();
    if (old.patterns().size() == 1 || old.find(pattern).isEmpty()) {
      return song;
    }
    List<NamedPattern> left = new ArrayList<>();
    for (NamedPattern other : old.patterns()) {
      if (!other.name().equals(pattern)) {
        left.add(follows(other) ? alone(old, other, song.brief().meter()) : other);
      }
    }
    return song.withEachForm(
        song.progressions(),
        with(song, old.withPatterns(left).withBorrowed(borrowed(old, Optional.empty()))),
        form -> form.each(s -> s.withEachCell(part, c -> playing(c, left.get(0).name()))));
  }

  private Cell playing(Cell cell, String other) {
    return cell.pattern().equals(pattern) ? cell.withPattern(other) : cell;
  }

  private List<Part> with(Song song, Part changed) {
    return song.parts().stream().map(p -> p.id().equals(part) ? changed : p).toList();
  }

  private boolean follows(NamedPattern other) {
    return other.pattern() instanceof Pattern.Varied varied && varied.parent().equals(pattern);
  }

  /** A groove that followed another, as it is now. */
  public static NamedPattern alone(Part p, NamedPattern other, Meter meter) {
    Optional<Pattern.Drums> groove = p.groove(other.name(), meter);
    return groove.map(other::withPattern).orElse(other);
  }

  private Song renamed(Song song, String name) {
    Part old = song.part(part).orElseThrow();
    if (name.isEmpty() || !name.equals(pattern) && old.find(name).isPresent()) {
      throw new IllegalArgumentException(
          "a pattern needs a name that no other of its part has, but was \"" + name + "\"");
    }
    List<NamedPattern> patterns = old.patterns().stream().map(v -> renamed(v, name)).toList();
    return song.withEachForm(
        song.progressions(),
        with(song, old.withPatterns(patterns).withBorrowed(borrowed(old, Optional.of(name)))),
        form -> form.each(section -> section.withEachCell(part, c -> playing(c, name))));
  }

  /** Lanes that borrow a rhythm in this groove, with its other name, or without it. */
  private Map<LaneId, BorrowedLane> borrowed(Part old, Optional<String> name) {
    Map<LaneId, BorrowedLane> out = new LinkedHashMap<>();
    old.borrowed()
        .forEach(
            (lane, rhythm) -> {
              List<String> grooves =
                  rhythm.grooves().stream()
                      .flatMap(groove -> groove.equals(pattern) ? name.stream() : Stream.of(groove))
                      .toList();
              if (rhythm.isEverywhere() || !grooves.isEmpty()) {
                out.put(lane, new BorrowedLane(rhythm.model(), grooves));
              }
            });
    return out;
  }

  private NamedPattern renamed(NamedPattern other, String name) {
    Pattern kept =
        follows(other) ? ((Pattern.Varied) other.pattern()).withParent(name) : other.pattern();
    return new NamedPattern(other.name().equals(pattern) ? name : other.name(), kept);
  }
}
