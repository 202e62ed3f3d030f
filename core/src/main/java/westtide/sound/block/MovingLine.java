package westtide.sound.block;

/**
 * A delay line read at a place that moves slowly, between samples in a straight line; a block at a
 * time, so it is never read closer than a block.
 */
public final class MovingLine {
  private final Ring ring;
  private final float[] taken;
  private final float[] next;
  private final float[] places;
  private double delay;
  private double before;

  /** A line that is read at most so many samples late. */
  public MovingLine(int longest, int block) {
    ring = new Ring(longest + block + 1);
    taken = new float[block];
    next = new float[block];
    places = new float[block];
    for (int i = 0; i < block; i++) {
      places[i] = i;
    }
    clear();
  }

  /** Forgets what was put in. */
  public void clear() {
    ring.clear();
    delay = -1;
  }

  /** Moves the place evenly to another delay until the end of the next block; at once at first. */
  public void move(double delayAfter) {
    before = delay < 0 ? delayAfter : delay;
    delay = delayAfter;
  }

  /**
   * The next samples to leave. The place moves by far less than a sample in a block, so that all of
   * them lie between the same neighbours or hardly beyond.
   */
  public void read(float[] out, int length) {
    int ago = (int) Math.ceil(before);
    float share = (float) (ago - before);
    float step = (float) ((before - delay) / length);
    ring.copy(ago, taken, length);
    ring.copy(ago - 1, next, length);
    for (int i = 0; i < length; i++) {
      out[i] = taken[i] + (share + step * places[i]) * (next[i] - taken[i]);
    }
  }

  /** Puts the next samples in. */
  public void write(float[] in, int length) {
    ring.put(in, length);
  }
}
