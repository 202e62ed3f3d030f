package westtide.rhythm;

/**
 * What becomes of times when a song goes to another tempo. Everything written keeps its musical
 * place; only milliseconds change.
 *
 * @param from the tempo before
 * @param to the tempo after
 */
public record TempoChange(Tempo from, Tempo to) {
  /** How long a number of ticks lasts before, in ms. */
  public double before(long ticks) {
    return from.millis(ticks);
  }

  /** How long a number of ticks lasts after, in ms. */
  public double after(long ticks) {
    return to.millis(ticks);
  }

  /** How far audio recorded at the old tempo moves in pitch when it is played to fit. */
  public Repitch repitch() {
    return Repitch.between(from, to);
  }

  /**
   * How much longer (positive) or shorter audio becomes when it is stretched to fit, in percent.
   */
  public double stretchPercent() {
    return 100 * (from.bpm() / to.bpm() - 1);
  }
}
