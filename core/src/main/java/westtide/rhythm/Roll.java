package westtide.rhythm;

/**
 * How a hit is split into strokes.
 *
 * @param strokes strokes, evenly shared, 1 to 8
 * @param steps steps they are shared over, 1 to 16: four sixteenths are a beat
 * @param ramp how much of its velocity it gains (positive) or loses on the way, in percent, −90 to
 *     90
 * @param rise semitones it climbs (positive) or falls on the way, −24 to 24
 */
public record Roll(int strokes, int steps, int ramp, int rise) {
  /** How a roll usually swells: from 60 % to all of its velocity. */
  public static final int USUAL_RAMP = 40;

  /** A single stroke. */
  public static final Roll ONE = Roll.of(1);

  /** Checks every range. */
  public Roll {
    if (strokes < 1 || strokes > 8) {
      throw new IllegalArgumentException("a roll has 1 to 8 strokes, but was " + strokes);
    }
    if (steps < 1 || steps > 16) {
      throw new IllegalArgumentException("a roll fills 1 to 16 steps, but was " + steps);
    }
    if (Math.abs(ramp) > 90) {
      throw new IllegalArgumentException("a roll gains or loses 0 to 90 %, but was " + ramp);
    }
    if (Math.abs(rise) > 24) {
      throw new IllegalArgumentException("a roll climbs -24 to 24 semitones, but was " + rise);
    }
  }

  /** Strokes inside one step that swell as rolls do. */
  public static Roll of(int strokes) {
    return new Roll(strokes, 1, USUAL_RAMP, 0);
  }

  /** The same roll with other strokes. */
  public Roll withStrokes(int number) {
    return new Roll(number, steps, ramp, rise);
  }

  /** The same strokes over other steps. */
  public Roll withSteps(int number) {
    return new Roll(strokes, number, ramp, rise);
  }

  /** The same roll with another swell. */
  public Roll withRamp(int percent) {
    return new Roll(strokes, steps, percent, rise);
  }

  /** The same roll climbing or falling otherwise. */
  public Roll withRise(int semitones) {
    return new Roll(strokes, steps, ramp, semitones);
  }

  /** How far along the roll a stroke is, 0 to 1; 1 for a single stroke. */
  double way(int stroke) {
    return strokes == 1 ? 1 : stroke / (double) (strokes - 1);
  }
}
