package westtide.rhythm;

/**
 * One stroke, or one roll, on a step of a lane.
 *
 * @param step the step in the lane, from 0
 * @param velocity 1 to 127; of a roll, its loudest stroke
 * @param nudge ticks late (positive) or early, −120 to 120
 * @param strokes strokes shared evenly inside the step, 1 to 8
 */
public record Hit(int step, int velocity, int nudge, int strokes) {
  private static final int MOST_NUDGE = Ticks.PER_STEP / 2;

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
  }

  /** A single stroke on the grid. */
  public static Hit of(int step, int velocity) {
    return new Hit(step, velocity, 0, 1);
  }

  /** The same hit at another velocity. */
  public Hit withVelocity(int other) {
    return new Hit(step, other, nudge, strokes);
  }

  /** The same hit split into strokes. */
  public Hit withStrokes(int number) {
    return new Hit(step, velocity, nudge, number);
  }

  /** The same hit late or early by ticks. */
  public Hit withNudge(int ticks) {
    return new Hit(step, velocity, ticks, strokes);
  }

  /** The same hit on another step. */
  public Hit withStep(int other) {
    return new Hit(other, velocity, nudge, strokes);
  }

  /** When the strokes sound, in ticks after the step's own start, nudge included. */
  public int offset(int stroke) {
    return nudge + Ticks.PER_STEP * stroke / strokes;
  }

  /** How loud one stroke of a roll is: a roll rises to its velocity. */
  public int velocity(int stroke) {
    if (strokes == 1) {
      return velocity;
    }
    double share = 0.6 + 0.4 * stroke / (strokes - 1);
    return Velocity.held(Math.round(velocity * share));
  }
}
