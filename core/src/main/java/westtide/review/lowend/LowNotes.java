package westtide.review.lowend;

import java.util.Comparator;
import java.util.List;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;

/** When any of several parts sounds, asked quickly. */
final class LowNotes {
  private final int[] starts;
  private final int[] ends;

  /** The notes of parts; {@code ends} holds the latest end so far. */
  LowNotes(List<ScoredPart> parts) {
    List<ScoredNote> notes =
        parts.stream()
            .flatMap(part -> part.notes().stream())
            .sorted(Comparator.comparingInt(ScoredNote::start))
            .toList();
    starts = notes.stream().mapToInt(ScoredNote::start).toArray();
    ends = new int[starts.length];
    int latest = 0;
    for (int i = 0; i < ends.length; i++) {
      latest = Math.max(latest, notes.get(i).end());
      ends[i] = latest;
    }
  }

  /** Whether one sounds at the same time as a note. */
  boolean soundsWith(ScoredNote note) {
    int before = java.util.Arrays.binarySearch(starts, note.end());
    int last = before >= 0 ? firstOf(before) - 1 : -before - 2;
    return last >= 0 && ends[last] > note.start();
  }

  private int firstOf(int index) {
    int first = index;
    while (first > 0 && starts[first - 1] == starts[index]) {
      first--;
    }
    return first;
  }
}
