package westtide.sound.block;

/**
 * Where the song is during one block: the tick at every control point, {@value #EVERY} samples
 * apart. Filled by the transport, read by the channels.
 */
public final class Stretch {
  /** Samples between control points. */
  public static final int EVERY = 16;

  private final double[] ticks;
  private double millisPerTick = 1;
  private boolean moving;

  /** Reverb for a block of samples. */
  public Stretch(int blockFrames) {
    this.ticks = new double[blockFrames / EVERY + 1];
  }

  /**
   * How far a value goes towards another at each control point when it needs that many milliseconds
   * for 63 % of the way.
   */
  public static double approach(double millis, int rate) {
    return 1 - Math.exp(-EVERY / (millis / 1000 * rate));
  }

  /** Whether the song moves on during the block. */
  public boolean moving() {
    return moving;
  }

  /** Marks the block as one in which the song stands still. */
  public void stand() {
    moving = false;
  }

  /** Says where the song is from a sample of the block on. */
  public void run(int offset, double tick, double ticksPerFrame, double msPerTick) {
    moving = true;
    millisPerTick = msPerTick;
    int first = (offset + EVERY - 1) / EVERY;
    for (int point = first; point < ticks.length; point++) {
      ticks[point] = tick + (point * EVERY - offset) * ticksPerFrame;
    }
  }

  /** The tick at a point of it. */
  public double tick(int point) {
    return ticks[point];
  }

  /** Milliseconds from one tick to another. */
  public double millis(double fromTick, double toTick) {
    return (toTick - fromTick) * millisPerTick;
  }
}
