package westtide.rhythm;

/**
 * The grid of the whole product: 960 ticks to a quarter note, which divides by 2, 3, 5, 6 and 8.
 */
public final class Ticks {
  /** Ticks in a quarter note. */
  public static final int PER_QUARTER = 960;

  /** Ticks in a step, which is a sixteenth note. */
  public static final int PER_STEP = PER_QUARTER / 4;

  private Ticks() {}

  /** The first tick of a step counted from 0. */
  public static int ofSteps(int steps) {
    return Math.multiplyExact(steps, PER_STEP);
  }
}
