package westtide.sound.found;

/**
 * Reads a sound faster or slower, as a turntable does: pitch and length change together. Between
 * samples it reads through a sinc in a Kaiser window, low-passed where it reads faster, so that
 * nothing folds back. Read at its own speed it is the same samples.
 */
public final class Resampler {
  private static final int REACH = 24;
  private static final int STEPS = 512;
  private static final double BETA = 9;

  private final double speed;
  private final double cutoff;
  private final int reach;
  private final float[] table;

  /** A resampler that reads so many samples a sample, above 0: 2 is an octave higher. */
  public Resampler(double speed) {
    if (!(speed > 0.01 && speed < 100)) {
      throw new IllegalArgumentException("a speed is 0.01 to 100, but was " + speed);
    }
    this.speed = speed;
    this.cutoff = Math.min(1, 0.97 / speed);
    this.reach = (int) Math.ceil(REACH / Math.min(1, cutoff));
    this.table = kernel();
  }

  /** How many samples so many become. */
  public static int length(int frames, double speed) {
    return (int) Math.max(1, Math.round(frames / speed));
  }

  /** The sound read at the speed. */
  public float[] read(float[] samples) {
    if (speed == 1) {
      return samples.clone();
    }
    float[] out = new float[length(samples.length, speed)];
    for (int i = 0; i < out.length; i++) {
      out[i] = at(samples, i * speed);
    }
    return out;
  }

  private float at(float[] samples, double place) {
    int middle = (int) Math.floor(place);
    double within = place - middle;
    int from = Math.max(-reach + 1, -middle);
    int to = Math.min(reach, samples.length - 1 - middle);
    double sum = 0;
    for (int k = from; k <= to; k++) {
      sum += samples[middle + k] * weight(Math.abs(k - within));
    }
    return (float) sum;
  }

  private double weight(double away) {
    double at = away * STEPS;
    int before = (int) at;
    if (before + 1 >= table.length) {
      return 0;
    }
    return table[before] + (at - before) * (table[before + 1] - table[before]);
  }

  private float[] kernel() {
    float[] out = new float[reach * STEPS + 2];
    double most = bessel(BETA);
    for (int i = 0; i < out.length; i++) {
      double away = i / (double) STEPS;
      double x = Math.PI * away * cutoff;
      double sinc = i == 0 ? 1 : Math.sin(x) / x;
      double share = Math.min(1, away / reach);
      out[i] = (float) (cutoff * sinc * bessel(BETA * Math.sqrt(1 - share * share)) / most);
    }
    return out;
  }

  /** The modified Bessel function of the first kind and order zero, by its series. */
  private static double bessel(double x) {
    double sum = 1;
    double term = 1;
    for (int k = 1; k < 40; k++) {
      term *= x / (2 * k) * (x / (2 * k));
      sum += term;
    }
    return sum;
  }
}
