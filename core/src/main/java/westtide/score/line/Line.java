package westtide.score.line;

import java.util.ArrayList;
import java.util.List;
import westtide.score.event.Source;
import westtide.song.line.Note;

/**
 * What a pitched pattern plays over a whole section, from its start.
 *
 * @param pattern the name of the pattern
 * @param notes its notes in order of start
 * @param origins for each note its place in what is written; empty where every note is its own
 */
public record Line(String pattern, List<Note> notes, List<Integer> origins) {
  /** A line that a rule plays. */
  static Line ruled(String pattern, List<Note> notes) {
    return new Line(pattern, held(notes), List.of());
  }

  /** A written line repeated over a section. */
  static Line written(String pattern, List<Note> notes, List<Integer> origins) {
    return new Line(pattern, held(notes), origins);
  }

  /** Where a note of the list comes from. */
  Source source(int index) {
    return new Source(pattern, origins.isEmpty() ? index : origins.get(index));
  }

  /** A note before a slide is held until it, or there were nothing to slide from. */
  private static List<Note> held(List<Note> notes) {
    if (notes.stream().noneMatch(note -> note.slide() > 0)) {
      return notes;
    }
    List<Note> out = new ArrayList<>(notes);
    for (int i = 1; i < out.size(); i++) {
      Note before = out.get(i - 1);
      int start = out.get(i).start();
      if (out.get(i).slide() > 0 && start > before.start() && before.end() != start) {
        out.set(i - 1, before.withTicks(start - before.start()));
      }
    }
    return out;
  }
}
