package westtide.score;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import westtide.score.event.ScoredNote;
import westtide.song.drum.LaneId;

/** Ends notes where the next one begins, so that no note is ever started twice before it stops. */
final class MonophonicCut {
  private static final int KEYS = 128;

  private MonophonicCut() {}

  /** One note at a time, as an 808 plays: a new note cuts the old. */
  static List<ScoredNote> allKeys(List<ScoredNote> sorted) {
    List<ScoredNote> out = new ArrayList<>();
    for (ScoredNote note : sorted) {
      cutLast(out, out.size() - 1, note.start());
      out.add(note);
    }
    return out.stream().filter(note -> note.ticks() > 0).toList();
  }

  /** One note at a time on each MIDI note, and on each lane of drums. */
  static List<ScoredNote> sameSource(List<ScoredNote> sorted) {
    int[] last = new int[KEYS + LaneId.COUNT];
    Arrays.fill(last, -1);
    List<ScoredNote> out = new ArrayList<>(sorted.size());
    for (ScoredNote note : sorted) {
      int source = source(note);
      cutLast(out, last[source], note.start());
      last[source] = out.size();
      out.add(note);
    }
    out.removeIf(note -> note.ticks() <= 0);
    return out;
  }

  private static int source(ScoredNote note) {
    return note.struck().isPresent() ? KEYS + note.struck().get().lane().index() : note.key();
  }

  private static void cutLast(List<ScoredNote> out, int index, int tick) {
    if (index >= 0 && out.get(index).end() > tick) {
      out.set(index, out.get(index).endingAt(tick));
    }
  }
}
