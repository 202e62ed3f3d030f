package westtide.level;

import java.util.Arrays;
import westtide.sound.Mixdown;

/** Mean power in each tenth of a second of a song, and what loudness meters read of it. */
final class LoudnessCurve {
  /** What lies under −70 dB is not heard. */
  static final double SILENT = 1e-7;

  private static final double STEP = 0.1;

  /** A loudness meter looks back over 400 ms (ITU-R BS.1770). */
  private static final int BLOCK = 4;

  private final double[] powers;

  LoudnessCurve(double seconds) {
    this(new double[(int) ((seconds + Mixdown.TAIL_SECONDS) / STEP) + 1]);
  }

  private LoudnessCurve(double[] powers) {
    this.powers = powers;
  }

  /** Adds a power that lasts from one second to another. */
  void add(double from, double until, double power) {
    int last = Math.min(powers.length - 1, (int) (until / STEP));
    for (int i = (int) (from / STEP); i <= last; i++) {
      double inside = Math.min(until, (i + 1) * STEP) - Math.max(from, i * STEP);
      powers[i] += power * Math.max(0, inside) / STEP;
    }
  }

  /** Adds what sounds at a second and is over in less than a tenth: power times seconds. */
  void add(double at, double energy) {
    powers[Math.min(powers.length - 1, (int) (at / STEP))] += energy / STEP;
  }

  /** Both courses at once, the other by a factor. */
  LoudnessCurve plus(LoudnessCurve other, double factor) {
    double[] out = powers.clone();
    for (int i = 0; i < out.length; i++) {
      out[i] += factor * other.powers[i];
    }
    return new LoudnessCurve(out);
  }

  /** The mean power of the last 400 ms, at every tenth of a second. */
  double[] momentary() {
    double[] out = new double[powers.length];
    double sum = 0;
    for (int i = 0; i < out.length; i++) {
      sum += powers[i] - (i >= BLOCK ? powers[i - BLOCK] : 0);
      out[i] = Math.max(0, sum / BLOCK);
    }
    return out;
  }

  /** The mean of what is at most 10 LU under the mean of all that is heard; 0 of silence. */
  double integrated() {
    double[] momentary = momentary();
    double gate = gate(momentary);
    return Arrays.stream(momentary).filter(power -> power > gate).average().orElse(0);
  }

  /** What is 10 LU under the mean of all that is heard. */
  static double gate(double[] momentary) {
    double mean = Arrays.stream(momentary).filter(power -> power > SILENT).average().orElse(0);
    return Math.max(SILENT, mean / 10);
  }
}
