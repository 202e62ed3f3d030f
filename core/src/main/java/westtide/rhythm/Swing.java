package westtide.rhythm;

import java.math.BigDecimal;

/**
 * Swing as the share of a pair of sixteenths, or of eighths, that the first one takes: 50 % is
 * straight, 66.67 % is triplet.
 *
 * <p>The second sixteenth of a pair is written at tick 240 and sounds at 480 × share: 288 for 60 %.
 * Everything between is moved in proportion, so that order and bar lines stay and a roll keeps its
 * evenness.
 *
 * @param hundredths hundredths of a percent, 5000 to 7500
 * @param grid what is swung
 */
public record Swing(int hundredths, Grid grid) {
  private static final int HUNDREDTHS = 10_000;
  private static final int LEAST = 5000;
  private static final int MOST = 7500;

  /** No swing. */
  public static final Swing STRAIGHT = Swing.of(50);

  /** What stands in pairs of which the second is late. */
  public enum Grid {
    SIXTEENTHS("sixteenths", Ticks.PER_STEP),
    EIGHTHS("eighths", 2 * Ticks.PER_STEP);

    private final String title;
    private final int ticks;

    Grid(String title, int ticks) {
      this.title = title;
      this.ticks = ticks;
    }

    /** Ticks from one to the next. */
    public int ticks() {
      return ticks;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** Checks the range, 50 to 75 %. */
  public Swing {
    if (hundredths < LEAST || hundredths > MOST) {
      throw new IllegalArgumentException("swing must be 50 to 75 %, but was " + plain(hundredths));
    }
  }

  /** Swing in whole percent, 50 to 75. */
  public static Swing of(int percent) {
    return new Swing(Math.multiplyExact(percent, 100), Grid.SIXTEENTHS);
  }

  /** Reads a percentage such as {@code "58"}, {@code "66.67"} or {@code "54 %"}. */
  public static Swing parse(String text) {
    String trimmed = text.replace("%", "").strip();
    if (!trimmed.matches("-?\\d{1,4}(\\.\\d{1,2})?")) {
      throw new IllegalArgumentException(
          "swing must be a percentage from 50 to 75, but was \"" + text + "\"");
    }
    return new Swing(new BigDecimal(trimmed).movePointRight(2).intValueExact(), Grid.SIXTEENTHS);
  }

  /** The same share on another grid. */
  public Swing on(Grid other) {
    return new Swing(hundredths, other);
  }

  /** Another share on the same grid. */
  public Swing withHundredths(int other) {
    return new Swing(other, grid);
  }

  /** Another share on the same grid, held inside 50 to 75 %. */
  public Swing withHeld(int other) {
    return withHundredths(Math.max(LEAST, Math.min(MOST, other)));
  }

  /** The sounding tick of a written tick; the first of each pair stays where it is. */
  public long at(long tick) {
    if (straight()) {
      return tick;
    }
    int unit = grid.ticks();
    int within = Math.floorMod(Math.toIntExact(tick), 2 * unit);
    int second = second();
    int moved =
        within <= unit
            ? rounded(within * second, unit)
            : second + rounded((within - unit) * (2 * unit - second), unit);
    return tick - within + moved;
  }

  /** Where the second of a pair sounds, in ticks after the first. */
  private int second() {
    return rounded(2 * grid.ticks() * hundredths, HUNDREDTHS);
  }

  /** A quotient of numbers from 0 on, rounded half up. */
  private static int rounded(int dividend, int divisor) {
    return (2 * dividend + divisor) / (2 * divisor);
  }

  /** Where a tick that sounds with this swing is written: {@link #at} the other way round. */
  public long written(long sounding) {
    long unit = grid.ticks();
    long pair = Math.floorDiv(sounding, 2 * unit) * 2 * unit;
    long within = sounding - pair;
    long second = second();
    if (within <= second) {
      return pair + Math.round(within * unit / (double) second);
    }
    double rest = (within - second) / (double) (2 * unit - second);
    return pair + unit + Math.round(rest * unit);
  }

  /** How late the second of a pair sounds, in ticks. */
  public int delay() {
    return (int) (at(grid.ticks()) - grid.ticks());
  }

  /** Whether a written tick stands in the second half of a pair, which is what swing is for. */
  public boolean reaches(long tick) {
    return Math.floorMod(tick, 2L * grid.ticks()) >= grid.ticks();
  }

  /** Whether nothing is moved. */
  public boolean straight() {
    return hundredths == STRAIGHT.hundredths();
  }

  /** The percentage without needless zeros, such as {@code "54"}. */
  @Override
  public String toString() {
    return plain(hundredths);
  }

  private static String plain(int hundredths) {
    return BigDecimal.valueOf(hundredths, 2).stripTrailingZeros().toPlainString();
  }
}
