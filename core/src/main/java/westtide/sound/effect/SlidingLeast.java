package westtide.sound.effect;

import java.util.Arrays;

/**
 * The least of the last so many values. They are taken in rows as long as the window: what lies in
 * it is the end of the row before, whose least from each place on is known, and the beginning of
 * this one (van Herk 1992; from memory).
 */
public final class SlidingLeast {
  private final float[] row;
  private final float[] leastFrom;
  private int at;
  private float least = Float.POSITIVE_INFINITY;

  /** One of a length in samples. */
  public SlidingLeast(int length) {
    row = new float[length];
    leastFrom = new float[length + 1];
    Arrays.fill(leastFrom, Float.POSITIVE_INFINITY);
  }

  void clear() {
    Arrays.fill(leastFrom, Float.POSITIVE_INFINITY);
    least = Float.POSITIVE_INFINITY;
    at = 0;
  }

  /** Takes a value and gives the least of the last ones, itself included. */
  public float least(float value) {
    row[at] = value;
    least = value < least ? value : least;
    at++;
    float before = leastFrom[at];
    float found = least < before ? least : before;
    if (at == row.length) {
      turn();
    }
    return found;
  }

  private void turn() {
    for (int i = row.length - 1; i >= 0; i--) {
      leastFrom[i] = Math.min(row[i], leastFrom[i + 1]);
    }
    least = Float.POSITIVE_INFINITY;
    at = 0;
  }
}
