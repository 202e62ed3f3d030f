package westtide.desktop.play;

/**
 * Where a loop stands at a time. The place is known frame by frame only roughly; the mean of all
 * frames is what is played against it is measured by.
 */
public final class LoopClock {
  private final int ticks;
  private final double ticksPerNano;
  private double reference;
  private long began;
  private double sum;
  private int frames;

  /**
   * A clock of a loop.
   *
   * @param ticks length of the loop
   * @param ticksPerNano its tempo
   */
  public LoopClock(int ticks, double ticksPerNano) {
    this.ticks = ticks;
    this.ticksPerNano = ticksPerNano;
  }

  /** The loop is at a tick now. */
  public void at(double tick, long nanos) {
    double offset = tick - nanos * ticksPerNano;
    if (frames == 0) {
      reference = offset;
      began = began(nanos);
    }
    sum += within(offset - reference + ticks / 2.0) - ticks / 2.0;
    frames++;
  }

  /** Whether the loop has been seen moving. */
  public boolean moving() {
    return frames > 0;
  }

  /** When the loop stood at its beginning last, on the clock of {@link System#nanoTime}. */
  public long began(long nanos) {
    return nanos - Math.round(tick(nanos) / ticksPerNano);
  }

  /** Where the loop was at a time. */
  public double tick(long nanos) {
    return within(reference + sum / Math.max(1, frames) + nanos * ticksPerNano);
  }

  /** Ticks since the loop was first seen moving, negative while it counted in. */
  public double since(long nanos) {
    return (nanos - began) * ticksPerNano;
  }

  /** Ticks from one time to another. */
  public double between(long from, long to) {
    return (to - from) * ticksPerNano;
  }

  private double within(double tick) {
    return tick - Math.floor(tick / ticks) * ticks;
  }
}
