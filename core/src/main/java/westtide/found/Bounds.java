package westtide.found;

import java.util.List;

/**
 * Where a sound begins and ends: at its first onset that is more than noise, and where it last
 * rises over what lies before the first.
 *
 * @param begins seconds from the first sample
 * @param ends the same
 */
record Bounds(double begins, double ends) {
  private static final double BLOCK_SECONDS = 0.005;
  private static final double LEAST_STRENGTH = 0.15;
  private static final double LEAST_LEVEL = 0.03;
  private static final double OVER_NOISE = 2.2;
  private static final double OVER_PEAK = 0.004;

  static Bounds of(Decimated sound, List<OnsetCurve.Onset> onsets) {
    double least = LEAST_LEVEL * level(sound, onsets);
    double begins =
        onsets.stream()
            .filter(onset -> onset.strength() >= LEAST_STRENGTH)
            .filter(onset -> level(sound, onset.seconds()) >= least)
            .mapToDouble(OnsetCurve.Onset::seconds)
            .findFirst()
            .orElse(0);
    return new Bounds(begins, Math.max(begins + 0.01, ends(sound, begins)));
  }

  /** The level of a sound over 80 ms from a moment on. */
  private static double level(Decimated sound, double from) {
    int first = (int) Math.round(from * sound.rate());
    int last = Math.min(sound.samples().length, first + (int) (0.08 * sound.rate()));
    double sum = 0;
    for (int i = first; i < last; i++) {
      sum += sound.samples()[i] * sound.samples()[i];
    }
    return last > first ? Math.sqrt(sum / (last - first)) : 0;
  }

  /** The level after the loudest of its onsets. */
  private static double level(Decimated sound, List<OnsetCurve.Onset> onsets) {
    return onsets.stream().mapToDouble(onset -> level(sound, onset.seconds())).max().orElse(0);
  }

  private static double ends(Decimated sound, double begins) {
    int block = Math.max(1, (int) (BLOCK_SECONDS * sound.rate()));
    float[] samples = sound.samples();
    int count = samples.length / block;
    double[] levels = new double[count];
    double peak = 0;
    for (int i = 0; i < count; i++) {
      double sum = 0;
      for (int k = 0; k < block; k++) {
        float sample = samples[i * block + k];
        sum += sample * sample;
      }
      levels[i] = Math.sqrt(sum / block);
      peak = Math.max(peak, levels[i]);
    }
    int quiet = Math.min(count, (int) ((begins - 0.02) / BLOCK_SECONDS));
    double noise = 0;
    for (int i = 0; i < quiet; i++) {
      noise += levels[i] / quiet;
    }
    double threshold = Math.max(OVER_NOISE * noise, OVER_PEAK * peak);
    int last = count - 1;
    while (last > 0 && levels[last] < threshold) {
      last--;
    }
    boolean toTheEnd = last >= count - 2;
    return toTheEnd ? sound.seconds() : (last + 1) * block / sound.rate();
  }
}
