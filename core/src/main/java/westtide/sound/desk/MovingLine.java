package westtide.sound.desk;

/**
 * A delay line read at a place that moves slowly, between samples in a straight line; a block at a
 * time, so it is never read closer than a block.
 */
final class MovingLine {
  private final float[] ring;
  private final int mask;
  private int at;
  private double delay;
  private double before;

  /** A line that is read at most so many samples late. */
  MovingLine(int longest, int block) {
    int size = Integer.highestOneBit(longest + 2 * block + 2) * 2;
    ring = new float[size];
    mask = size - 1;
    delay = longest;
    before = longest;
  }

  /** Moves the place evenly to another delay until the end of the next block. */
  void move(double delayAfter) {
    before = delay;
    delay = delayAfter;
  }

  /** The next samples to leave. */
  void read(float[] out, int length) {
    double place = at - before + ring.length;
    double step = 1 - (delay - before) / length;
    for (int i = 0; i < length; i++) {
      int index = (int) place;
      float share = (float) (place - index);
      float low = ring[index & mask];
      out[i] = low + share * (ring[index + 1 & mask] - low);
      place += step;
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
