package westtide.sound.desk;

/**
 * A delay line read at a place that moves slowly, between samples in a straight line; a block at a
 * time, so it is never read closer than a block.
 */
final class MovingLine {
  private final float[] ring;
  private final int mask;
  private final float[] taken;
  private int at;
  private double delay;
  private double before;

  /** A line that is read at most so many samples late. */
  MovingLine(int longest, int block) {
    int size = Integer.highestOneBit(longest + 2 * block + 2) * 2;
    ring = new float[size];
    mask = size - 1;
    taken = new float[block + 1];
    delay = longest;
    before = longest;
  }

  /** Moves the place evenly to another delay until the end of the next block. */
  void move(double delayAfter) {
    before = delay;
    delay = delayAfter;
  }

  /**
   * The next samples to leave. The place moves by far less than a sample in a block, so that all of
   * them lie between the same neighbours or hardly beyond.
   */
  void read(float[] out, int length) {
    double place = at - before;
    int from = (int) Math.floor(place);
    float share = (float) (place - from);
    float step = (float) ((before - delay) / length);
    int start = from & mask;
    int first = Math.min(length + 1, ring.length - start);
    System.arraycopy(ring, start, taken, 0, first);
    System.arraycopy(ring, 0, taken, first, length + 1 - first);
    for (int i = 0; i < length; i++) {
      out[i] = taken[i] + (share + step * i) * (taken[i + 1] - taken[i]);
    }
  }

  /** Puts the next samples in. */
  void write(float[] in, int length) {
    int first = Math.min(length, ring.length - at);
    System.arraycopy(in, 0, ring, at, first);
    System.arraycopy(in, first, ring, 0, length - first);
    at = at + length & mask;
  }
}
