package westtide.rhythm;

import java.math.BigDecimal;

/**
 * A tempo in beats (quarter notes) a minute, kept in thousandths so that 92.5 is exact.
 *
 * @param milliBpm thousandths of a BPM, 20 000 to 300 000
 */
public record Tempo(int milliBpm) {
  private static final int LOWEST = 20;
  private static final int HIGHEST = 300;

  /** Checks the range, 20 to 300 BPM. */
  public Tempo {
    if (milliBpm < LOWEST * 1000 || milliBpm > HIGHEST * 1000) {
      throw new IllegalArgumentException("tempo must be 20 to 300 BPM, but was " + plain(milliBpm));
    }
  }

  /** A tempo in whole BPM, 20 to 300. */
  public static Tempo of(int bpm) {
    return new Tempo(Math.multiplyExact(bpm, 1000));
  }

  /** Reads BPM with at most three decimals, such as {@code "146"} or {@code "92.5"}. */
  public static Tempo parse(String text) {
    String trimmed = text.strip();
    if (!trimmed.matches("-?\\d{1,6}(\\.\\d{1,3})?")) {
      throw new IllegalArgumentException(
          "tempo must be a number of BPM from 20 to 300, such as 146 or 92.5, but was \""
              + text
              + "\"");
    }
    return new Tempo(new BigDecimal(trimmed).movePointRight(3).intValueExact());
  }

  /** The tempo nearest to a measured one, in whole tenths of a BPM, held inside the range. */
  public static Tempo nearest(double bpm) {
    double held = Math.max(LOWEST, Math.min(HIGHEST, bpm));
    return new Tempo((int) Math.round(held * 10) * 100);
  }

  /** This tempo moved by whole thousandths of a BPM, held inside 20 to 300. */
  public Tempo plus(int milli) {
    int moved = milliBpm + milli;
    return new Tempo(Math.max(LOWEST * 1000, Math.min(HIGHEST * 1000, moved)));
  }

  /** Beats a minute. */
  public double bpm() {
    return milliBpm / 1000.0;
  }

  /** Microseconds in a quarter note, rounded: 120 BPM is 500 000. */
  public int microsPerQuarter() {
    return (int) Math.round(60_000_000_000.0 / milliBpm);
  }

  /** How long a number of ticks lasts, in milliseconds. */
  public double millis(long ticks) {
    return ticks * 60_000_000.0 / milliBpm / Ticks.PER_QUARTER;
  }

  /** Ticks that come nearest to a length in milliseconds, which may be negative. */
  public long ticks(double millis) {
    return Math.round(millis / millis(1));
  }

  /** BPM without needless zeros, such as {@code "146"} or {@code "92.5"}. */
  @Override
  public String toString() {
    return plain(milliBpm);
  }

  private static String plain(int milli) {
    BigDecimal bpm = BigDecimal.valueOf(milli, 3).stripTrailingZeros();
    return bpm.toPlainString();
  }
}
