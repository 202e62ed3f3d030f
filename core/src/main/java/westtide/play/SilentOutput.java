package westtide.play;

import java.util.function.LongConsumer;
import java.util.function.LongSupplier;

/**
 * The stand-in for a machine without an audio line: nothing is heard, and time passes as if it
 * were. It takes as much ahead as a line does.
 */
public final class SilentOutput implements AudioOutput {
  private static final long AHEAD_NANOS = AHEAD_MILLIS * 1_000_000L;

  private final int rate;
  private final LongSupplier nanos;
  private final LongConsumer sleep;
  private long started = Long.MIN_VALUE;
  private long taken;

  /**
   * An output at a sample rate.
   *
   * @param nanos a clock in nanoseconds
   * @param sleep waits for a number of nanoseconds
   */
  public SilentOutput(int rate, LongSupplier nanos, LongConsumer sleep) {
    this.rate = rate;
    this.nanos = nanos;
    this.sleep = sleep;
  }

  @Override
  public String name() {
    return "no audio device: playing silently";
  }

  @Override
  public boolean audible() {
    return false;
  }

  @Override
  public int rate() {
    return rate;
  }

  @Override
  public void write(float[] left, float[] right, int frames) {
    long now = nanos.getAsLong();
    if (started == Long.MIN_VALUE) {
      started = now;
      taken = 0;
    }
    taken += frames;
    long due = started + taken * 1_000_000_000L / rate - AHEAD_NANOS;
    if (due > now) {
      sleep.accept(due - now);
    }
  }

  @Override
  public int pending() {
    if (started == Long.MIN_VALUE) {
      return 0;
    }
    long heard = (nanos.getAsLong() - started) * rate / 1_000_000_000L;
    return (int) Math.max(0, taken - heard);
  }

  @Override
  public void rest() {
    started = Long.MIN_VALUE;
  }

  @Override
  public void close() {
    rest();
  }
}
