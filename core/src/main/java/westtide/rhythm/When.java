package westtide.rhythm;

import java.util.SplittableRandom;

/**
 * On which passes of its lane a hit plays.
 *
 * @param every it plays on one pass out of this many, 1 to 64
 * @param on which of them, 1 to {@code every}
 * @param percent how likely it then is, 1 to 100
 * @param seed where its chances start from
 */
public record When(int every, int on, int percent, long seed) {
  /** On every pass, surely. */
  public static final When ALWAYS = new When(1, 1, 100, 1);

  private static final int MOST = 64;

  /** Checks the ranges. */
  public When {
    if (every < 1 || every > MOST || on < 1 || on > every) {
      throw new IllegalArgumentException(
          "a hit plays on one of 1 to 64 passes, but was " + on + " of " + every);
    }
    if (percent < 1 || percent > 100) {
      throw new IllegalArgumentException("a chance is 1 to 100 %, but was " + percent);
    }
  }

  /** On the last of every so many passes: 4 is the fourth, the eighth and so on. */
  public static When every(int passes) {
    return new When(passes, passes, 100, 1);
  }

  /** The same passes with another likelihood. */
  public When withPercent(int other) {
    return new When(every, on, other, seed);
  }

  /** Whether a hit on a step plays on a pass of its lane, counted from 0. */
  public boolean plays(int pass, int step) {
    if (pass % every != on - 1) {
      return false;
    }
    return percent == 100
        || new SplittableRandom(seed * 1_000_003L + pass * 257L + step).nextInt(100) < percent;
  }
}
