package westtide.song.mix;

/**
 * A straight movement over a whole section.
 *
 * @param kind what moves
 * @param from value at the section's first tick
 * @param to value at its end
 */
public record Ramp(Kind kind, int from, int to) {
  /** What can move over a section. */
  public enum Kind {
    /** Tenths of a dB added to the part's level, −600 to 60. */
    LEVEL(Mix.SILENT, 60),
    /** The low pass in Hz, 200 to 20 000, moving evenly in octaves. */
    LOW_PASS(200, Mix.OPEN);

    private final int low;
    private final int high;

    Kind(int low, int high) {
      this.low = low;
      this.high = high;
    }
  }

  /** Checks that both ends lie inside the range of the kind. */
  public Ramp {
    Range.check("the start of a ramp", from, kind.low, kind.high, "");
    Range.check("the end of a ramp", to, kind.low, kind.high, "");
  }
}
