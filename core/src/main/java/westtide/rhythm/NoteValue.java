package westtide.rhythm;

/** Note values as delays, gates and slow oscillators are set to. */
public enum NoteValue {
  BAR("1 bar", 4 * Ticks.PER_QUARTER),
  HALF("1/2", 2 * Ticks.PER_QUARTER),
  DOTTED_QUARTER("1/4 dotted", Ticks.PER_QUARTER * 3 / 2),
  QUARTER("1/4", Ticks.PER_QUARTER),
  QUARTER_TRIPLET("1/4 triplet", Ticks.PER_QUARTER * 2 / 3),
  DOTTED_EIGHTH("1/8 dotted", Ticks.PER_QUARTER * 3 / 4),
  EIGHTH("1/8", Ticks.PER_QUARTER / 2),
  EIGHTH_TRIPLET("1/8 triplet", Ticks.PER_QUARTER / 3),
  SIXTEENTH("1/16", Ticks.PER_QUARTER / 4),
  SIXTEENTH_TRIPLET("1/16 triplet", Ticks.PER_QUARTER / 6),
  THIRTY_SECOND("1/32", Ticks.PER_QUARTER / 8);

  private final String title;
  private final int ticks;

  NoteValue(String title, int ticks) {
    this.title = title;
    this.ticks = ticks;
  }

  /** Its length in ticks. */
  public int ticks() {
    return ticks;
  }

  /** Its length at a tempo, in ms. */
  public double millis(Tempo tempo) {
    return tempo.millis(ticks);
  }

  /** How often it fits into a second, in Hz. */
  public double hertz(Tempo tempo) {
    return 1000 / millis(tempo);
  }

  @Override
  public String toString() {
    return title;
  }
}
