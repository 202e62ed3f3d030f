package westtide.desktop.levels;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.function.ToIntFunction;
import westtide.song.mix.Mix;

/**
 * One number of a part's place in the mix, as people set it.
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
record Amount(
    String id,
    String name,
    int low,
    int high,
    int step,
    int digits,
    ToIntFunction<Mix> get,
    Change set) {
  /** Gives a mix with the number changed. */
  interface Change {
    Mix to(Mix mix, int value);
  }

  /** All of them, in the order they are shown. */
  static final List<Amount> ALL =
      List.of(
          new Amount("mix-level", "level, dB", Mix.SILENT, 60, 5, 1, Mix::level, Mix::withLevel),
          new Amount("mix-pan", "pan, left − right +", -100, 100, 5, 0, Mix::pan, Mix::withPan),
          new Amount("mix-width", "width, %", 0, 100, 5, 0, Mix::width, Mix::withWidth),
          new Amount(
              "mix-low-cut",
              "high-pass (low cut), Hz",
              0,
              2000,
              10,
              0,
              Mix::lowCut,
              Mix::withLowCut),
          new Amount(
              "mix-low-pass",
              "low-pass, Hz",
              200,
              Mix.OPEN,
              200,
              0,
              Mix::lowPass,
              Mix::withLowPass),
          new Amount("mix-clip", "drive, dB", 0, 180, 5, 1, Mix::clip, Mix::withClip),
          new Amount("mix-reverb", "reverb, %", 0, 100, 2, 0, Mix::reverb, Mix::withReverb),
          new Amount("mix-delay", "delay, %", 0, 100, 2, 0, Mix::delay, Mix::withDelay),
          new Amount(
              "mix-duck-depth",
              "ducking depth, dB",
              0,
              400,
              5,
              1,
              mix -> mix.duck().depth(),
              (mix, v) -> mix.withDuck(mix.duck().withDepth(v))),
          new Amount(
              "mix-duck-time",
              "ducking release, ms",
              20,
              1000,
              10,
              0,
              mix -> mix.duck().millis(),
              (mix, v) -> mix.withDuck(mix.duck().withMillis(v))),
          new Amount(
              "mix-duck-below",
              "duck only below, Hz (0: all)",
              0,
              2000,
              10,
              0,
              mix -> mix.duck().below(),
              (mix, v) -> mix.withDuck(mix.duck().withBelow(v))));

  /** The value of what was typed; throws with a sentence when it is no number in the range. */
  int parse(String typed) {
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
  String plain(int value) {
    return BigDecimal.valueOf(value, digits).toPlainString();
  }
}
