package westtide.rhythm;

import java.util.SplittableRandom;

/**
 * How a whole lane is played: late or early, and how much each hit differs. Amounts of 0 make every
 * copy identical, which is a school of its own.
 *
 * @param nudge ticks the lane is late (positive) or early, −120 to 120
 * @param velocity most difference from the written velocity, 0 to 40
 * @param ticks most difference from the written place, 0 to 60
 * @param seed where the differences start from
 */
public record LaneFeel(int nudge, int velocity, int ticks, long seed) {
  /** On the grid, every hit alike. */
  public static final LaneFeel PLAIN = new LaneFeel(0, 0, 0, 1);

  /** Checks the ranges. */
  public LaneFeel {
    if (Math.abs(nudge) > 120) {
      throw new IllegalArgumentException("a lane is nudged by -120 to 120 ticks, but was " + nudge);
    }
    if (velocity < 0 || velocity > 40) {
      throw new IllegalArgumentException("velocities vary by 0 to 40, but was " + velocity);
    }
    if (ticks < 0 || ticks > 60) {
      throw new IllegalArgumentException("places vary by 0 to 60 ticks, but was " + ticks);
    }
  }

  /** The same lane late by other ticks. */
  public LaneFeel withNudge(int other) {
    return new LaneFeel(other, velocity, ticks, seed);
  }

  /** The same lane with velocities varied by another amount. */
  public LaneFeel withVelocity(int amount) {
    return new LaneFeel(nudge, amount, ticks, seed);
  }

  /** The same lane with places varied by other ticks. */
  public LaneFeel withTicks(int amount) {
    return new LaneFeel(nudge, velocity, amount, seed);
  }

  /** The same amounts from another seed. */
  public LaneFeel withSeed(long other) {
    return new LaneFeel(nudge, velocity, ticks, other);
  }

  /** Whether hits that are written alike are played unlike each other. */
  public boolean differs() {
    return velocity > 0 || ticks > 0;
  }

  /** How late a hit on a step, counted from where the groove began, is played, in ticks. */
  public int late(int step) {
    return late(step, 0);
  }

  /** As {@link #late(int)}, for one of several lanes that differ from the same seed. */
  public int late(int step, int lane) {
    return nudge + differing(ticks, step, lane, 1);
  }

  /** How loud a velocity on such a step is played. */
  public int played(int written, int step) {
    return played(written, step, 0);
  }

  /** As {@link #played(int, int)}, for one of several lanes that differ from the same seed. */
  public int played(int written, int step, int lane) {
    return Velocity.held(written + (long) differing(velocity, step, lane, 2));
  }

  private int differing(int amount, int step, int lane, int purpose) {
    if (amount == 0) {
      return 0;
    }
    long from = (seed * 1_000_003L + lane * 7_919L) * 1_000_003L + step * 4L + purpose;
    return new SplittableRandom(from).nextInt(-amount, amount + 1);
  }
}
