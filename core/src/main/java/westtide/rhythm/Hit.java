package westtide.rhythm;

/**
 * One stroke, or one roll, on a step of a lane.
 *
 * @param step the step in the lane, from 0
 * @param velocity 1 to 127; of a roll, its loudest stroke
 * @param nudge ticks late (positive) or early, −120 to 120
 * @param pitch semitones above (positive) or below the drum as it is tuned, −24 to 24
 * @param roll how it is split into strokes
 * @param flam ticks by which a soft stroke comes before it, 0 to 120; 0 for none
 * @param when on which passes of the lane it plays
 */
public record Hit(int step, int velocity, int nudge, int pitch, Roll roll, int flam, When when) {
  /** Most ticks a hit is late or early. */
  public static final int MOST_NUDGE = Ticks.PER_STEP / 2;

  /** Most semitones a hit is above or below its drum. */
  public static final int MOST_PITCH = 24;

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
    if (Math.abs(pitch) > MOST_PITCH) {
      throw new IllegalArgumentException("a hit is -24 to 24 semitones away, but was " + pitch);
    }
    if (flam < 0 || flam > MOST_NUDGE) {
      throw new IllegalArgumentException("a flam is 0 to 120 ticks early, but was " + flam);
    }
  }

  /** A hit split into strokes inside its step, as loud as rolls swell, on every pass. */
  public Hit(int step, int velocity, int nudge, int strokes) {
    this(step, velocity, nudge, 0, Roll.of(strokes), 0, When.ALWAYS);
  }

  /** A single stroke on the grid. */
  public static Hit of(int step, int velocity) {
    return new Hit(step, velocity, 0, 1);
  }

  /** A nudge held inside −120 to 120 ticks. */
  public static int heldNudge(long ticks) {
    return (int) Math.max(-MOST_NUDGE, Math.min(MOST_NUDGE, ticks));
  }

  /** The same hit at another velocity. */
  public Hit withVelocity(int other) {
    return new Hit(step, other, nudge, pitch, roll, flam, when);
  }

  /** The same hit late or early by ticks. */
  public Hit withNudge(int ticks) {
    return new Hit(step, velocity, ticks, pitch, roll, flam, when);
  }

  /** The same hit higher or lower. */
  public Hit withPitch(int semitones) {
    return new Hit(step, velocity, nudge, semitones, roll, flam, when);
  }

  /** The same hit on another step. */
  public Hit withStep(int other) {
    return new Hit(other, velocity, nudge, pitch, roll, flam, when);
  }

  /** The same hit split otherwise. */
  public Hit withRoll(Roll other) {
    return new Hit(step, velocity, nudge, pitch, other, flam, when);
  }

  /** The same hit split into strokes. */
  public Hit withStrokes(int number) {
    return withRoll(roll.withStrokes(number));
  }

  /** The same hit with a soft stroke that many ticks before it; 0 takes it away. */
  public Hit withFlam(int ticks) {
    return new Hit(step, velocity, nudge, pitch, roll, ticks, when);
  }

  /** The same hit on other passes of its lane. */
  public Hit withWhen(When other) {
    return new Hit(step, velocity, nudge, pitch, roll, flam, other);
  }

  /** How many strokes it has. */
  public int strokes() {
    return roll.strokes();
  }

  /**
   * When a stroke sounds, in ticks after the step's own start, nudge included.
   *
   * @param step ticks of a step of its lane
   */
  public int offset(int stroke, int step) {
    return nudge + step * roll.steps() * stroke / roll.strokes();
  }

  /** How loud one stroke of a roll is. */
  public int velocity(int stroke) {
    if (roll.strokes() == 1) {
      return velocity;
    }
    double way = roll.way(stroke);
    double missing = roll.ramp() >= 0 ? roll.ramp() * (1 - way) : -roll.ramp() * way;
    return Velocity.held(Math.round(velocity * (1 - missing / 100)));
  }

  /** How many semitones a stroke is above or below the drum; a roll arrives at its whole rise. */
  public int pitch(int stroke) {
    return roll.rise() == 0 ? pitch : pitch + (int) Math.round(roll.rise() * roll.way(stroke));
  }

  /** How loud the soft stroke of a flam is. */
  public int flamVelocity() {
    return Velocity.held(Math.round(velocity * FLAM_SHARE));
  }
}
