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
    if (hundredths < 5000 || hundredths > 7500) {
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

  /** The sounding tick of a written tick; the first of each pair stays where it is. */
  public long at(long tick) {
    int unit = grid.ticks();
    long pair = Math.floorDiv(tick, 2L * unit) * 2 * unit;
    long within = tick - pair;
    long second = Math.round(2 * unit * (hundredths / 10000.0));
    if (within <= unit) {
      return pair + Math.round(within * second / (double) unit);
    }
    double rest = (within - unit) / (double) unit;
    return pair + second + Math.round(rest * (2 * unit - second));
  }

  /** How late the second of a pair sounds, in ticks. */
  public int delay() {
    return (int) (at(grid.ticks()) - grid.ticks());
  }

  /** Whether swing moves what is written on a tick: it stands on the second of a pair. */
  public boolean moves(long tick) {
    return !straight() && at(tick) != tick;
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
