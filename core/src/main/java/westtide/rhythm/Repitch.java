package westtide.rhythm;

/**
 * Playing a recording faster or slower, as tape does: speed and pitch go together, 12 · log2(ratio)
 * semitones.
 *
 * @param ratio new speed over old, above 0
 */
public record Repitch(double ratio) {
  /** Checks the ratio. */
  public Repitch {
    if (!(ratio > 0) || Double.isInfinite(ratio)) {
      throw new IllegalArgumentException("a speed is more than 0, but was " + ratio);
    }
  }

  /** From one tempo to another: 80 to 96 BPM raises by 3.16 semitones. */
  public static Repitch between(Tempo from, Tempo to) {
    return new Repitch(to.bpm() / from.bpm());
  }

  /** By semitones, cents as fractions. */
  public static Repitch ofSemitones(double semitones) {
    return new Repitch(Math.pow(2, semitones / 12));
  }

  /** How far the pitch moves, in semitones. */
  public double semitones() {
    return 12 * Math.log(ratio) / Math.log(2);
  }

  /** How far the pitch moves, in cents. */
  public double cents() {
    return 100 * semitones();
  }

  /**
   * The tempo after.
   *
   * @throws IllegalArgumentException when it lies outside 20 to 300 BPM
   */
  public Tempo tempo(Tempo before) {
    return new Tempo((int) Math.round(before.milliBpm() * ratio));
  }
}
