package westtide.score;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Ends notes where the next one begins, so that no note is ever started twice before it stops. */
final class MonophonicCut {
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

  /** One note at a time on each MIDI note. */
  static List<ScoredNote> sameKey(List<ScoredNote> sorted) {
    List<ScoredNote> out = new ArrayList<>();
    Map<Integer, Integer> lastOfKey = new HashMap<>();
    for (ScoredNote note : sorted) {
      cutLast(out, lastOfKey.getOrDefault(note.key(), -1), note.start());
      lastOfKey.put(note.key(), out.size());
      out.add(note);
    }
    return out.stream().filter(note -> note.ticks() > 0).toList();
  }

  private static void cutLast(List<ScoredNote> out, int index, int tick) {
    if (index >= 0 && out.get(index).end() > tick) {
      out.set(index, out.get(index).endingAt(tick));
    }
  }
}
