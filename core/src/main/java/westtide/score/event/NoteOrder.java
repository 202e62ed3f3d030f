package westtide.score.event;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Notes by start, then height, then as they came. Each note is one number to be sorted, which a
 * score of many lanes is made with in a fraction of the time of comparing notes.
 */
public final class NoteOrder {
  private static final int KEY_BITS = 7;
  private static final int PLACE_BITS = 24;
  private static final long PLACES = (1L << PLACE_BITS) - 1;

  private NoteOrder() {}

  /** The notes by start, then key. */
  public static List<ScoredNote> sorted(List<ScoredNote> notes) {
    long[] numbers = new long[notes.size()];
    for (int i = 0; i < numbers.length; i++) {
      ScoredNote note = notes.get(i);
      numbers[i] = ((long) note.start() << KEY_BITS | note.key()) << PLACE_BITS | i;
    }
    Arrays.sort(numbers);
    List<ScoredNote> out = new ArrayList<>(numbers.length);
    for (long number : numbers) {
      out.add(notes.get((int) (number & PLACES)));
    }
    return out;
  }

  /** The notes of a sorted list that start inside a stretch of ticks. */
  public static List<ScoredNote> between(List<ScoredNote> notes, int from, int to) {
    int first = firstFrom(notes, from);
    return notes.subList(first, Math.max(first, firstFrom(notes, to)));
  }

  /** How many notes start before a tick. */
  private static int firstFrom(List<ScoredNote> notes, int tick) {
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
