package westtide.desktop.play;

import westtide.rhythm.Ticks;

/**
 * Where a loop stands at a time. The place is known frame by frame only roughly; the mean of all
 * frames is what is played against it is measured by. A place that stands tells nothing: just
 * started, the loop stands at its first tick until that is heard.
 */
public final class LoopClock {
  /** Ticks before the first beat from which something is meant for it. */
  private static final double LEADING_IN = Ticks.PER_STEP / 2.0;

  private final int ticks;
  private final double ticksPerNano;
  private double reference;
  private long began;
  private double sum;
  private int frames;
  private double seen = Double.NaN;

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

  /**
   * The loop is seen at a tick now.
   *
   * @return whether it is seen moving for the first time
   */
  public boolean at(double tick, long nanos) {
    boolean moved = !Double.isNaN(seen) && tick != seen;
    seen = tick;
    if (moved) {
      count(tick, nanos);
    }
    return moved && frames == 1;
  }

  private void count(double tick, long nanos) {
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

  /**
   * Whether what is played at a time belongs to the loop: what is played while it counts in does
   * not, but for what leads into the first beat.
   */
  public boolean counted(long nanos) {
    return between(began, nanos) >= -LEADING_IN;
  }

  /** Ticks from one time to another. */
  public double between(long from, long to) {
    return (to - from) * ticksPerNano;
  }

  private double within(double tick) {
    return tick - Math.floor(tick / ticks) * ticks;
  }
}
