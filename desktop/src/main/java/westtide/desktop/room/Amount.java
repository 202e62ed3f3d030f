package westtide.desktop.room;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.function.IntConsumer;
import java.util.function.ToIntFunction;
import westtide.desktop.kit.sheet.ScaleSheet;

/**
 * One number of something that is set, as people set it.
 *
 * @param id the id of its field
 * @param name what it is called, unit included
 * @param low lowest value as kept
 * @param high highest value as kept
 * @param step how far one nudge goes, as kept
 * @param digits digits behind the point when shown: 1 for tenths of a dB
 * @param get reads it
 * @param set changes it
 */
public record Amount<T>(
    String id,
    String name,
    int low,
    int high,
    int step,
    int digits,
    ToIntFunction<T> get,
    Change<T> set) {
  /** Gives the thing with the number changed. */
  @FunctionalInterface
  public interface Change<T> {
    /** The thing with another value. */
    T to(T thing, int value);
  }

  /** The same number known by another id, where it is shown twice. */
  public Amount<T> withId(String other) {
    return new Amount<>(other, name, low, high, step, digits, get, set);
  }

  /** The number as a scale to pull. */
  public ScaleSheet.Scale scale(T thing, IntConsumer taken) {
    return new ScaleSheet.Scale(
        id,
        name,
        low,
        high,
        step,
        name.contains(", Hz"),
        get.applyAsInt(thing),
        value -> plain(value).replace('-', '−'),
        taken);
  }

  /** The value of what was typed; throws with a sentence when it is no number in the range. */
  public int parse(String typed) {
    String trimmed = typed.strip().replace('−', '-').replace(',', '.');
    if (!trimmed.matches("[-+]?\\d{1,6}(\\.\\d+)?")) {
      throw outside(typed);
    }
    int value =
        new BigDecimal(trimmed)
            .movePointRight(digits)
            .setScale(0, RoundingMode.HALF_UP)
            .intValueExact();
    if (value < low || value > high) {
      throw outside(typed);
    }
    return value;
  }

  private IllegalArgumentException outside(String typed) {
    return new IllegalArgumentException(
        name.split(",")[0]
            + " is a number from "
            + plain(low)
            + " to "
            + plain(high)
            + ", but was \""
            + typed
            + "\"");
  }

  /** A value in plain figures, such as {@code "-11.0"}. */
  public String plain(int value) {
    return BigDecimal.valueOf(value, digits).toPlainString();
  }
}
