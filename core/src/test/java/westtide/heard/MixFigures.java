package westtide.heard;

import java.util.Locale;

/**
 * What the mix of a song measures.
 *
 * @param upper energy from 1.25 to 5 kHz against that from 40 to 80 Hz, dB
 * @param side energy of the sides against the middle over 300 Hz, dB
 * @param lowSide the same below 100 Hz, dB
 * @param clicks places where a wave jumps as nothing that was played does
 */
record MixFigures(String name, double upper, double side, double lowSide, int clicks) {
  private static final int WINDOW = 16_384;
  private static final double JUMP = 0.5;

  static MixFigures of(String name, Rendered mix) {
    double[] mid = new double[4];
    double[] sides = new double[4];
    double seconds = mix.left().length / (double) Rendered.RATE;
    for (double at = 0; at + 0.4 < seconds; at += 1.7) {
      add(mid, Bands.of(window(mix.middle(at, 0.35))));
      add(sides, Bands.of(window(mix.side(at, 0.35))));
    }
    return new MixFigures(
        name,
        Bands.decibels(mid[1] + sides[1]) - Bands.decibels(mid[0] + sides[0]),
        Bands.decibels(sides[2]) - Bands.decibels(mid[2]),
        Bands.decibels(sides[3]) - Bands.decibels(mid[3]),
        clicks(mix));
  }

  private static float[] window(float[] samples) {
    return java.util.Arrays.copyOf(samples, WINDOW);
  }

  private static void add(double[] to, Bands bands) {
    to[0] += bands.energy(40, 80);
    to[1] += bands.energy(1250, 5000);
    to[2] += bands.energy(300, 16_000);
    to[3] += bands.energy(20, 100);
  }

  /**
   * A click is a step between two samples far beyond the steps around it, of a size that is heard.
   * Noise and hard starts have large steps too, but never alone.
   */
  private static int clicks(Rendered mix) {
    float[] left = mix.left();
    int found = 0;
    for (int i = 50; i + 50 < left.length; i++) {
      double step = Math.abs(left[i] - left[i - 1]);
      if (step < 0.02) {
        continue;
      }
      double around = 0;
      for (int k = -40; k <= 40; k++) {
        around =
            k >= -1 && k <= 1 ? around : Math.max(around, Math.abs(left[i + k] - left[i + k - 1]));
      }
      if (step > 0.06 && around < JUMP * step * 0.4) {
        found++;
      }
    }
    return found;
  }

  String row() {
    return String.format(
        Locale.ROOT, "| %s | %.1f | %.1f | %.1f | %d |", name, upper, side, lowSide, clicks);
  }
}
