package westtide.song.mix;

/**
 * A movement of one part over bars of the song. It begins in a section and may be longer than the
 * pattern or go on beyond the section.
 *
 * @param kind what moves
 * @param fromBar the bar of its section it begins with, from 0
 * @param bars how many bars it lasts, 1 to 128; 0 lasts to the end of the section, however long
 * @param shape how it moves
 */
public record Curve(Kind kind, int fromBar, int bars, CurveShape shape) {
  /** The longest curve, in bars. */
  public static final int MOST_BARS = 128;

  /** What can move. */
  public enum Kind {
    /** Tenths of a dB added to the part's level. */
    LEVEL("level", "tenths of a dB", Mix.SILENT, 60, 0, false),
    /** Left to right; it stands for the part's own pan. */
    PAN("pan", "(left to right)", -100, 100, 0, false),
    /** Hz above which nothing passes, moving evenly in octaves. */
    LOW_PASS("low-pass", "Hz", Mix.LOWEST_PASS, Mix.OPEN, Mix.OPEN, true),
    /** Hz below which nothing passes, moving evenly in octaves. */
    HIGH_PASS("high-pass", "Hz", 10, Mix.HIGHEST_CUT, 10, true),
    /** Percent sent to the room; it stands for the part's own send. */
    ROOM("room send", "%", 0, 100, 0, false),
    /** Percent sent to the delay; it stands for the part's own send. */
    DELAY("delay send", "%", 0, 100, 0, false),
    /** Percent of spread to the sides; it stands for the part's own width. */
    WIDTH("width", "%", 0, 100, 0, false),
    /** How far a gate in note values closes, in percent. */
    GATE("gate depth", "%", 0, 100, 0, false),
    /** Strokes of the gate in a beat: 2 is eighths, 4 sixteenths. */
    GATE_RATE("gate rate", "strokes a beat", 1, 8, 2, false),
    /** How far a wobble of the low-pass closes, in percent. */
    WOBBLE("wobble depth", "%", 0, 100, 0, false),
    /** Swings of the wobble in a beat: 2 is eighths, 4 sixteenths. */
    WOBBLE_RATE("wobble rate", "swings a beat", 1, 8, 2, false);

    private final String title;
    private final String unit;
    private final int low;
    private final int high;
    private final int rest;
    private final boolean octaves;

    Kind(String title, String unit, int low, int high, int rest, boolean octaves) {
      this.title = title;
      this.unit = unit;
      this.low = low;
      this.high = high;
      this.rest = rest;
      this.octaves = octaves;
    }

    /** The unit of its values. */
    public String unit() {
      return unit;
    }

    /** The lowest value. */
    public int low() {
      return low;
    }

    /** The highest value. */
    public int high() {
      return high;
    }

    /** The value that changes nothing, where there is one. */
    public int rest() {
      return rest;
    }

    /** Whether it moves evenly in octaves rather than in its unit. */
    public boolean octaves() {
      return octaves;
    }

    /** A value on the scale it moves evenly on: octaves above 1 Hz, or as it is. */
    public double even(double value) {
      return octaves ? Math.log(value) / Math.log(2) : value;
    }

    /** A place on the even scale as a value. */
    public double value(double even) {
      return octaves ? Math.pow(2, even) : even;
    }

    /** How far up its range a value lies, 0 to 1. */
    public double share(double value) {
      return (even(value) - even(low)) / (even(high) - even(low));
    }

    /** The value at a share of its range, held inside it. */
    public int at(double share) {
      double held = Math.max(0, Math.min(1, share));
      return (int) Math.round(value(even(low) + held * (even(high) - even(low))));
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** Checks the bars and that every value lies inside the range of the kind. */
  public Curve {
    if (fromBar < 0 || fromBar >= MOST_BARS) {
      throw new IllegalArgumentException(
          "a curve begins in bar 1 to 128 of its section, but was " + (fromBar + 1));
    }
    Range.check("a curve", bars, 0, MOST_BARS, "bars");
    for (int value : shape.values()) {
      Range.check("a point of a " + kind + " curve", value, kind.low, kind.high, kind.unit);
    }
  }

  /** A straight movement to the end of a section. */
  public static Curve straight(Kind kind, int from, int to) {
    return new Curve(kind, 0, 0, CurveShape.straight(from, to));
  }

  /** The same over other bars. */
  public Curve over(int bar, int count) {
    return new Curve(kind, bar, count, shape);
  }

  /** The same moving otherwise. */
  public Curve withShape(CurveShape other) {
    return new Curve(kind, fromBar, bars, other);
  }

  /** How many bars it lasts in a section of that length. */
  public int barsIn(int sectionBars) {
    return bars == 0 ? Math.max(1, sectionBars - fromBar) : bars;
  }

  /** A curve in words, such as {@code "level −120 to 0"}. */
  @Override
  public String toString() {
    return kind + " " + shape;
  }
}
