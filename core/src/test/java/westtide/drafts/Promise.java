package westtide.drafts;

import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import westtide.song.id.PartId;

/**
 * Words a text can hold, and what a draft has to play for them.
 *
 * @param where where in a style such a text stands, as a pattern of its place
 * @param words the words, as a pattern
 * @param kept whether a draft keeps it
 */
record Promise(Pattern where, Pattern words, Kept kept) {
  /** What a text speaks of. */
  record Subject(PartId part, String lane) {}

  /** Whether a draft keeps what was promised. */
  @FunctionalInterface
  interface Kept {
    boolean by(HeardDraft draft, Subject subject);
  }

  static Promise of(String where, String words, Kept kept) {
    return new Promise(
        Pattern.compile(where), Pattern.compile(words, Pattern.CASE_INSENSITIVE), kept);
  }

  /** All that is looked for. */
  static List<Promise> all() {
    return Stream.of(LanePromises.all(), MemberPromises.all(), SongPromises.all())
        .flatMap(List::stream)
        .toList();
  }

  /** Whether a text at a place makes it. */
  boolean made(String place, String text) {
    return where.matcher(place).find() && words.matcher(text).find();
  }

  @Override
  public String toString() {
    return "(" + words + ")";
  }
}
