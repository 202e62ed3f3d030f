package westtide.score;

import java.util.List;
import westtide.song.Part;

/**
 * A part with all its notes.
 *
 * @param part the part
 * @param notes its notes in order of start, then height
 */
public record ScoredPart(Part part, List<ScoredNote> notes) {
  /** Copies the notes. */
  public ScoredPart {
    notes = List.copyOf(notes);
  }

  /** The notes that start inside a stretch of ticks. */
  public List<ScoredNote> between(int from, int to) {
    int first = firstFrom(from);
    return notes.subList(first, Math.max(first, firstFrom(to)));
  }

  /** How many notes start before a tick. */
  private int firstFrom(int tick) {
    int low = 0;
    int high = notes.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (notes.get(middle).start() < tick) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }
}
