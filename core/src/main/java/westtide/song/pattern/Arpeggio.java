package westtide.song.pattern;

import java.util.function.Consumer;
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
    return with(copy -> copy.order = other);
  }

  /** The same at another rate. */
  public Arpeggio withRate(Rate other) {
    return with(copy -> copy.rate = other);
  }

  /** The same through other octaves. */
  public Arpeggio withOctaves(int other) {
    return with(copy -> copy.octaves = other);
  }

  /** The same with shorter or longer notes. */
  public Arpeggio withGate(int percent) {
    return with(copy -> copy.gate = percent);
  }

  /** The same with other steps. */
  public Arpeggio withSteps(Figure other) {
    return with(copy -> copy.steps = other);
  }

  /** The same from another note. */
  public Arpeggio withLowest(int midi) {
    return with(copy -> copy.lowest = midi);
  }

  /** The same with a level that rises over bars. */
  public Arpeggio withSwell(int bars) {
    return with(copy -> copy.swellBars = bars);
  }

  /** The same with a flourish in every so many bars. */
  public Arpeggio withFlourish(int bars) {
    return with(copy -> copy.flourishBars = bars);
  }

  /** The same drawn from another seed. */
  public Arpeggio withSeed(long other) {
    return with(copy -> copy.seed = other);
  }

  @Override
  public <R> R accept(Kinds<R> kinds) {
    return kinds.arpeggio(this);
  }

  private Arpeggio with(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return copy.made();
  }

  /** Its values by their names, so that one of them can be another. */
  private static final class Copy {
    private Order order;
    private Rate rate;
    private int octaves;
    private int gate;
    private Figure steps;
    private int lowest;
    private int swellBars;
    private int flourishBars;
    private long seed;

    Copy(Arpeggio from) {
      order = from.order;
      rate = from.rate;
      octaves = from.octaves;
      gate = from.gate;
      steps = from.steps;
      lowest = from.lowest;
      swellBars = from.swellBars;
      flourishBars = from.flourishBars;
      seed = from.seed;
    }

    Arpeggio made() {
      return new Arpeggio(order, rate, octaves, gate, steps, lowest, swellBars, flourishBars, seed);
    }
  }
}
