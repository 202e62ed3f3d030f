package westtide.song.pattern;

import westtide.rhythm.Figure;
import westtide.rhythm.Ticks;

/**
 * The notes of the chords heard, one after another, at an even rate.
 *
 * @param order which note comes next
 * @param rate how long a step is
 * @param octaves how many octaves are gone through, 1 to 4
 * @param gate how much of a step a note lasts, 10 to 100 %
 * @param steps which steps strike, how loud, and which are held or rest; of a length of its own
 * @param lowest MIDI note at or above which the lowest note stands, 12 to 108
 * @param swellBars bars over which the level rises and then starts again, 0 for none to 16: a
 *     length of its own, whatever the pattern's
 * @param flourishBars in every so many bars the last beat goes at double rate; 0 for never to 16
 * @param seed what a random order is drawn from
 */
public record Arpeggio(
    Order order,
    Rate rate,
    int octaves,
    int gate,
    Figure steps,
    int lowest,
    int swellBars,
    int flourishBars,
    long seed)
    implements FollowRule {
  /** Which note of the chord comes next. */
  public enum Order {
    UP("up"),
    DOWN("down"),
    BOTH("up and down"),
    INSIDE_OUT("inside out"),
    RANDOM("random"),
    CHORD("whole chord");

    private final String title;

    Order(String title) {
      this.title = title;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** How long a step is. */
  public enum Rate {
    QUARTER("1/4", Ticks.PER_QUARTER),
    EIGHTH_DOTTED("1/8 dotted", Ticks.PER_QUARTER * 3 / 4),
    EIGHTH("1/8", Ticks.PER_QUARTER / 2),
    EIGHTH_TRIPLET("1/8 triplet", Ticks.PER_QUARTER / 3),
    SIXTEENTH_DOTTED("1/16 dotted", Ticks.PER_QUARTER * 3 / 8),
    SIXTEENTH("1/16", Ticks.PER_QUARTER / 4),
    SIXTEENTH_TRIPLET("1/16 triplet", Ticks.PER_QUARTER / 6),
    THIRTY_SECOND("1/32", Ticks.PER_QUARTER / 8);

    private final String title;
    private final int ticks;

    Rate(String title, int ticks) {
      this.title = title;
      this.ticks = ticks;
    }

    /** Ticks of a step. */
    public int ticks() {
      return ticks;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** Checks every range. */
  public Arpeggio {
    check("octaves", octaves, 1, 4);
    check("gate", gate, 10, 100);
    check("lowest note", lowest, 12, 108);
    check("swell", swellBars, 0, 16);
    check("flourish", flourishBars, 0, 16);
  }

  private static void check(String what, int value, int low, int high) {
    if (value < low || value > high) {
      throw new IllegalArgumentException(
          "the " + what + " of an arpeggio is " + low + " to " + high + ", but was " + value);
    }
  }

  /** Eighths up one octave from a note, every step alike. */
  public static Arpeggio of(int lowest) {
    return new Arpeggio(Order.UP, Rate.EIGHTH, 1, 80, new Figure("x"), lowest, 0, 0, 1);
  }

  /** The same in another order. */
  public Arpeggio withOrder(Order other) {
    return new Arpeggio(other, rate, octaves, gate, steps, lowest, swellBars, flourishBars, seed);
  }

  /** The same at another rate. */
  public Arpeggio withRate(Rate other) {
    return new Arpeggio(order, other, octaves, gate, steps, lowest, swellBars, flourishBars, seed);
  }

  /** The same through other octaves. */
  public Arpeggio withOctaves(int other) {
    return new Arpeggio(order, rate, other, gate, steps, lowest, swellBars, flourishBars, seed);
  }

  /** The same with shorter or longer notes. */
  public Arpeggio withGate(int percent) {
    return new Arpeggio(
        order, rate, octaves, percent, steps, lowest, swellBars, flourishBars, seed);
  }

  /** The same with other steps. */
  public Arpeggio withSteps(Figure other) {
    return new Arpeggio(order, rate, octaves, gate, other, lowest, swellBars, flourishBars, seed);
  }

  /** The same from another note. */
  public Arpeggio withLowest(int midi) {
    return new Arpeggio(order, rate, octaves, gate, steps, midi, swellBars, flourishBars, seed);
  }

  /** The same with a level that rises over bars. */
  public Arpeggio withSwell(int bars) {
    return new Arpeggio(order, rate, octaves, gate, steps, lowest, bars, flourishBars, seed);
  }

  /** The same with a flourish in every so many bars. */
  public Arpeggio withFlourish(int bars) {
    return new Arpeggio(order, rate, octaves, gate, steps, lowest, swellBars, bars, seed);
  }

  /** The same drawn from another seed. */
  public Arpeggio withSeed(long other) {
    return new Arpeggio(order, rate, octaves, gate, steps, lowest, swellBars, flourishBars, other);
  }

  @Override
  public <R> R accept(Kinds<R> kinds) {
    return kinds.arpeggio(this);
  }
}
