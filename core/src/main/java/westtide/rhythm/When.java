package westtide.rhythm;

import java.util.SplittableRandom;

/**
 * On which passes of its lane a hit plays.
 *
 * @param turn which kind of pass
 * @param every it plays on one pass out of this many, 1 to 64; 1 unless the turn counts passes
 * @param on which of them, 1 to {@code every}
 * @param percent how likely it then is, 1 to 100
 * @param seed where its chances start from
 */
public record When(Turn turn, int every, int on, int percent, long seed) {
  /** Kinds of passes. */
  public enum Turn {
    COUNTED("every repeat"),
    FIRST("first repeat only"),
    LAST("last repeat before a change"),
    FILL("fill bars only");

    private final String title;

    Turn(String title) {
      this.title = title;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /**
   * A pass of a lane, as far as hits ask for it.
   *
   * @param number from 0
   * @param first whether the groove begins with it
   * @param last whether something else follows it
   * @param fill whether the bar is one for fills: each fourth, and the last before a change (common
   *     practice)
   */
  public record Pass(int number, boolean first, boolean last, boolean fill) {}

  /** On every pass, surely. */
  public static final When ALWAYS = When.on(1, 1);

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
    every = turn == Turn.COUNTED ? every : 1;
    on = turn == Turn.COUNTED ? on : 1;
  }

  /** On one of every so many passes. */
  public static When on(int pass, int every) {
    return new When(Turn.COUNTED, every, pass, 100, 1);
  }

  /** On the last of every so many passes: 4 is the fourth, the eighth and so on. */
  public static When every(int passes) {
    return on(passes, passes);
  }

  /** On a kind of pass. */
  public static When at(Turn turn) {
    return new When(turn, 1, 1, 100, 1);
  }

  /** The same passes with another likelihood. */
  public When withPercent(int other) {
    return new When(turn, every, on, other, seed);
  }

  /** The same chance on other passes. */
  public When withPasses(When other) {
    return new When(other.turn, other.every, other.on, percent, seed);
  }

  /** The same with its chances drawn from another seed. */
  public When withSeed(long other) {
    return new When(turn, every, on, percent, other);
  }

  /** Whether a hit on a step plays on a pass of its lane. */
  public boolean plays(Pass pass, int step) {
    boolean turned =
        switch (turn) {
          case COUNTED -> pass.number() % every == on - 1;
          case FIRST -> pass.first();
          case LAST -> pass.last();
          case FILL -> pass.fill();
        };
    return turned && (percent == 100 || drawn(pass.number(), step) < percent);
  }

  private int drawn(int pass, int step) {
    return new SplittableRandom(seed * 1_000_003L + pass * 257L + step).nextInt(100);
  }
}
