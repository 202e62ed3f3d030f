package westtide.rhythm;

/**
 * A meter such as 4/4.
 *
 * @param beats beats in a bar, 1 to 16
 * @param unit the note value of a beat: 2, 4, 8 or 16
 */
public record Meter(int beats, int unit) {
  /** Four quarter notes, the meter of nearly all beat music. */
  public static final Meter COMMON = new Meter(4, 4);

  /** Checks the fraction. */
  public Meter {
    if (beats < 1 || beats > 16) {
      throw new IllegalArgumentException("a bar has 1 to 16 beats, but was " + beats);
    }
    if (unit != 2 && unit != 4 && unit != 8 && unit != 16) {
      throw new IllegalArgumentException("a beat is a 2, 4, 8 or 16, but was " + unit);
    }
  }

  /** Reads {@code "4/4"}; throws {@link IllegalArgumentException} on anything else. */
  public static Meter parse(String text) {
    if (!text.matches("\\d{1,2}/\\d{1,2}")) {
      throw new IllegalArgumentException("a meter looks like 4/4, but was \"" + text + "\"");
    }
    String[] parts = text.split("/");
    return new Meter(Integer.parseInt(parts[0]), Integer.parseInt(parts[1]));
  }

  /** Ticks in a beat. */
  public int ticksPerBeat() {
    return 4 * Ticks.PER_QUARTER / unit;
  }

  /** Ticks in a bar. */
  public int ticksPerBar() {
    return beats * ticksPerBeat();
  }

  /** Steps (sixteenths) in a bar. */
  public int stepsPerBar() {
    return ticksPerBar() / Ticks.PER_STEP;
  }

  @Override
  public String toString() {
    return beats + "/" + unit;
  }
}
