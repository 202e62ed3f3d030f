package westtide.found;

import java.util.Arrays;
import java.util.List;
import westtide.theory.KeyFinder;

/** The keys of a loop from its pitch classes, against the profiles the key finder knows. */
final class Harmony {
  private final Chroma chroma;
  private final double cents;

  Harmony(Chroma chroma, double cents) {
    this.chroma = chroma;
    this.cents = cents;
  }

  /**
   * Keys, the likeliest first; the bass of the first bar counts as where the loop comes home to.
   */
  List<KeyFinder.Guess> keys(Loop loop) {
    Chroma.Bins whole = chroma.bins(loop.downbeat(), loop.end(), cents);
    double[] clear = clear(mixed(whole));
    Chroma.Bins first =
        chroma.bins(loop.downbeat(), loop.downbeat() + loop.barSeconds() / 2, cents);
    return sum(clear) < 1e-9 ? List.of() : KeyFinder.rank(clear, home(first.bass(), whole.bass()));
  }

  /** Where the bass is at home: mostly where the first bar begins, and where it is most of all. */
  private static double[] home(double[] first, double[] whole) {
    double[] out = new double[12];
    double one = sum(first);
    double all = sum(whole);
    for (int i = 0; i < 12; i++) {
      out[i] = 0.65 * first[i] / one + 0.35 * whole[i] / all;
    }
    return out;
  }

  /** How strong each pitch class is, C first, the strongest 1. */
  List<Double> pitchClasses(Loop loop) {
    double[] all = clear(chroma.bins(loop.downbeat(), loop.end(), cents).all());
    double most = Math.max(1e-9, Arrays.stream(all).max().orElse(0));
    return Arrays.stream(all).map(each -> each / most).boxed().toList();
  }

  /** How much of the loop is pitched: how far its pitch classes are from all alike. */
  double tonal(Loop loop) {
    double[] all = chroma.bins(loop.downbeat(), loop.end(), cents).all();
    double sum = 1e-12;
    double squares = 0;
    for (double each : all) {
      sum += each;
      squares += each * each;
    }
    return Math.min(1, Math.max(0, (12 * squares / (sum * sum) - 1) / 1.2));
  }

  private static double[] mixed(Chroma.Bins bins) {
    double[] out = new double[12];
    double all = sum(bins.all());
    double low = sum(bins.bass());
    for (int i = 0; i < 12; i++) {
      out[i] = bins.all()[i] / all + 0.35 * bins.bass()[i] / low;
    }
    return out;
  }

  private static double sum(double[] values) {
    double out = 1e-12;
    for (double value : values) {
      out += value;
    }
    return out;
  }

  /** Without what all pitch classes have in common, which is noise and overtones. */
  private static double[] clear(double[] values) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    double floor = (sorted[1] + sorted[2]) / 2;
    double[] out = new double[12];
    for (int i = 0; i < 12; i++) {
      out[i] = Math.max(0, values[i] - floor);
    }
    return out;
  }
}
