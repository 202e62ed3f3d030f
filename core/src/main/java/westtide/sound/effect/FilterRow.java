package westtide.sound.effect;

/**
 * Filters one after another over a stretch of samples. The stretch is taken in pieces that are
 * turned into double numbers once for all filters. All memory is taken when it is made.
 */
public final class FilterRow {
  private static final int PIECE = 64;

  private final TwoSides[] filters;
  private final double[] one = new double[PIECE];
  private final double[] other = new double[PIECE];
  private int count;

  /** A row of at most so many filters, empty at first. */
  public FilterRow(int most) {
    filters = new TwoSides[most];
  }

  /** A row of one filter. */
  public static FilterRow of(TwoSides filter) {
    FilterRow row = new FilterRow(1);
    row.add(filter);
    return row;
  }

  /** Takes all filters out. */
  public void empty() {
    count = 0;
  }

  /** Puts a filter behind the others. */
  public void add(TwoSides filter) {
    filters[count] = filter;
    count++;
  }

  /** Filters a stretch of both sides, or of the left alone when {@code middle}. */
  public void run(float[] left, float[] right, int from, int until, boolean middle) {
    if (count == 0) {
      return;
    }
    for (int at = from; at < until; at += PIECE) {
      int frames = Math.min(PIECE, until - at);
      take(left, at, one, frames);
      if (middle) {
        runLeft(frames);
      } else {
        take(right, at, other, frames);
        for (int i = 0; i < count; i++) {
          filters[i].both(one, other, frames);
        }
        give(other, right, at, frames);
      }
      give(one, left, at, frames);
    }
  }

  private void runLeft(int frames) {
    int next = 0;
    for (; next + 2 <= count; next += 2) {
      filters[next].leftThen(filters[next + 1], one, frames);
    }
    if (next < count) {
      filters[next].left(one, frames);
    }
  }

  private static void take(float[] from, int at, double[] to, int frames) {
    for (int i = 0; i < frames; i++) {
      to[i] = from[at + i];
    }
  }

  private static void give(double[] from, float[] to, int at, int frames) {
    for (int i = 0; i < frames; i++) {
      to[at + i] = (float) from[i];
    }
  }
}
