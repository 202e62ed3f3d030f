package westtide.rhythm;

import java.math.BigDecimal;

/**
 * Swing as the share of a pair of sixteenths that the first one takes: 50 % is straight, 66.67 % is
 * triplet.
 *
 * <p>The second sixteenth of a pair is written at tick 240 and sounds at 480 × share: 288 for 60 %.
 * Everything between is moved in proportion, so that order and bar lines stay and a roll keeps its
 * evenness.
 *
 * @param hundredths hundredths of a percent, 5000 to 7500
 */
public record Swing(int hundredths) {
  /** No swing. */
  public static final Swing STRAIGHT = Swing.of(50);

  private static final int PAIR = 2 * Ticks.PER_STEP;

  /** Checks the range, 50 to 75 %. */
  public Swing {
    if (hundredths < 5000 || hundredths > 7500) {
      throw new IllegalArgumentException("swing must be 50 to 75 %, but was " + plain(hundredths));
    }
  }

  /** Swing in whole percent, 50 to 75. */
  public static Swing of(int percent) {
    return new Swing(Math.multiplyExact(percent, 100));
  }

  /** Reads a percentage such as {@code "58"}, {@code "66.67"} or {@code "54 %"}. */
  public static Swing parse(String text) {
    String trimmed = text.replace("%", "").strip();
    if (!trimmed.matches("-?\\d{1,4}(\\.\\d{1,2})?")) {
      throw new IllegalArgumentException(
          "swing must be a percentage from 50 to 75, but was \"" + text + "\"");
    }
    return new Swing(new BigDecimal(trimmed).movePointRight(2).intValueExact());
  }

  /** The sounding tick of a written tick; even steps stay where they are. */
  public long at(long tick) {
    long pair = Math.floorDiv(tick, (long) PAIR) * PAIR;
    long within = tick - pair;
    long second = Math.round(PAIR * (hundredths / 10000.0));
    if (within <= Ticks.PER_STEP) {
      return pair + Math.round(within * second / (double) Ticks.PER_STEP);
    }
    double rest = (within - Ticks.PER_STEP) / (double) Ticks.PER_STEP;
    return pair + second + Math.round(rest * (PAIR - second));
  }

  /** How late the second sixteenth of a pair sounds, in ticks. */
  public int delay() {
    return (int) (at(Ticks.PER_STEP) - Ticks.PER_STEP);
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
