package westtide.rhythm;

/**
 * One stroke, or one roll, on a step of a lane.
 *
 * @param step the step in the lane, from 0
 * @param velocity 1 to 127; of a roll, its loudest stroke
 * @param nudge ticks late (positive) or early, −120 to 120
 * @param strokes strokes shared evenly inside the step, 1 to 8
 * @param ramp how much of its velocity a roll gains (positive) or loses on the way, in percent, −90
 *     to 90
 * @param flam ticks by which a soft stroke comes before it, 0 to 120; 0 for none
 * @param when on which passes of the lane it plays
 */
public record Hit(int step, int velocity, int nudge, int strokes, int ramp, int flam, When when) {
  /** How a roll usually swells: from 60 % to all of its velocity. */
  public static final int USUAL_RAMP = 40;

  private static final int MOST_NUDGE = Ticks.PER_STEP / 2;
  private static final double FLAM_SHARE = 0.55;

  /** Checks every range. */
  public Hit {
    Velocity.checked(velocity);
    if (step < 0) {
      throw new IllegalArgumentException("a hit stands on step 0 or later, but was " + step);
    }
    if (Math.abs(nudge) > MOST_NUDGE) {
      throw new IllegalArgumentException("a nudge is -120 to 120 ticks, but was " + nudge);
    }
    if (strokes < 1 || strokes > 8) {
      throw new IllegalArgumentException("a roll has 1 to 8 strokes, but was " + strokes);
    }
    if (Math.abs(ramp) > 90) {
      throw new IllegalArgumentException("a roll gains or loses 0 to 90 %, but was " + ramp);
    }
    if (flam < 0 || flam > MOST_NUDGE) {
      throw new IllegalArgumentException("a flam is 0 to 120 ticks early, but was " + flam);
    }
  }

  /** A hit that swells as rolls do, without a flam, on every pass. */
  public Hit(int step, int velocity, int nudge, int strokes) {
    this(step, velocity, nudge, strokes, USUAL_RAMP, 0, When.ALWAYS);
  }

  /** A single stroke on the grid. */
  public static Hit of(int step, int velocity) {
    return new Hit(step, velocity, 0, 1);
  }

  /** The same hit at another velocity. */
  public Hit withVelocity(int other) {
    return new Hit(step, other, nudge, strokes, ramp, flam, when);
  }

  /** The same hit split into strokes. */
  public Hit withStrokes(int number) {
    return new Hit(step, velocity, nudge, number, ramp, flam, when);
  }

  /** The same hit late or early by ticks. */
  public Hit withNudge(int ticks) {
    return new Hit(step, velocity, ticks, strokes, ramp, flam, when);
  }

  /** The same hit on another step. */
  public Hit withStep(int other) {
    return new Hit(other, velocity, nudge, strokes, ramp, flam, when);
  }

  /** The same roll with another swell. */
  public Hit withRamp(int percent) {
    return new Hit(step, velocity, nudge, strokes, percent, flam, when);
  }

  /** The same hit with a soft stroke that many ticks before it; 0 takes it away. */
  public Hit withFlam(int ticks) {
    return new Hit(step, velocity, nudge, strokes, ramp, ticks, when);
  }

  /** The same hit on other passes of its lane. */
  public Hit withWhen(When other) {
    return new Hit(step, velocity, nudge, strokes, ramp, flam, other);
  }

  /** When the strokes sound, in ticks after the step's own start, nudge included. */
  public int offset(int stroke) {
    return nudge + Ticks.PER_STEP * stroke / strokes;
  }

  /** How loud one stroke of a roll is. */
  public int velocity(int stroke) {
    if (strokes == 1) {
      return velocity;
    }
    double way = stroke / (double) (strokes - 1);
    double missing = ramp >= 0 ? ramp * (1 - way) : -ramp * way;
    return Velocity.held(Math.round(velocity * (1 - missing / 100)));
  }

  /** How loud the soft stroke of a flam is. */
  public int flamVelocity() {
    return Velocity.held(Math.round(velocity * FLAM_SHARE));
  }
}
