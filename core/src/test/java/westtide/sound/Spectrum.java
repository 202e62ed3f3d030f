package westtide.sound;

/** Measures frequencies of samples by the Fourier transform, written for the tests alone. */
public final class Spectrum {
  private Spectrum() {}

  /** The strongest frequency within half a semitone of an expected one, in Hz. */
  public static double peakNear(float[] samples, int from, int length, int rate, double expected) {
    double best = 0;
    double found = 0;
    for (int cents = -60; cents <= 60; cents++) {
      double hertz = expected * Math.pow(2, cents / 1200.0);
      double power = power(samples, from, length, rate, hertz);
      if (power > best) {
        best = power;
        found = hertz;
      }
    }
    return found;
  }

  /** Power at one frequency under a Hann window, by a single term of the Fourier sum. */
  public static double power(float[] samples, int from, int length, int rate, double hertz) {
    double[] wave = turning(hertz / rate);
    double[] window = turning(1.0 / length);
    double cos = 0;
    double sin = 0;
    for (int i = 0; i < length && from + i < samples.length; i++) {
      double weighted = samples[from + i] * (0.5 - 0.5 * window[2]);
      cos += weighted * wave[2];
      sin += weighted * wave[3];
      turn(wave);
      turn(window);
    }
    return cos * cos + sin * sin;
  }

  /**
   * A pointer on the unit circle and the step it turns by: cos and sin of the step, then its own.
   */
  private static double[] turning(double turns) {
    return new double[] {Math.cos(2 * Math.PI * turns), Math.sin(2 * Math.PI * turns), 1, 0};
  }

  private static void turn(double[] pointer) {
    double x = pointer[2] * pointer[0] - pointer[3] * pointer[1];
    pointer[3] = pointer[2] * pointer[1] + pointer[3] * pointer[0];
    pointer[2] = x;
  }

  /** Powers of all frequencies below half the rate, by the fast transform; length a power of 2. */
  public static double[] powers(float[] samples, int length) {
    double[] re = new double[length];
    double[] im = new double[length];
    for (int i = 0; i < Math.min(length, samples.length); i++) {
      re[i] = samples[i];
    }
    transform(re, im);
    double[] out = new double[length / 2];
    for (int i = 0; i < out.length; i++) {
      out[i] = re[i] * re[i] + im[i] * im[i];
    }
    return out;
  }

  /** The share of the energy above a frequency. */
  public static double shareAbove(float[] samples, int rate, double hertz) {
    int length = Integer.highestOneBit(Math.max(2, samples.length - 1)) * 2;
    double[] powers = powers(samples, length);
    double above = 0;
    double all = 0;
    for (int i = 1; i < powers.length; i++) {
      all += powers[i];
      above += (double) i * rate / length >= hertz ? powers[i] : 0;
    }
    return above / all;
  }

  private static void transform(double[] re, double[] im) {
    int n = re.length;
    for (int i = 1, j = 0; i < n; i++) {
      int bit = n >> 1;
      for (; (j & bit) != 0; bit >>= 1) {
        j ^= bit;
      }
      j ^= bit;
      if (i < j) {
        double kept = re[i];
        re[i] = re[j];
        re[j] = kept;
      }
    }
    for (int size = 2; size <= n; size <<= 1) {
      for (int start = 0; start < n; start += size) {
        butterflies(re, im, start, size);
      }
    }
  }

  private static void butterflies(double[] re, double[] im, int start, int size) {
    int half = size / 2;
    for (int k = 0; k < half; k++) {
      double angle = -2 * Math.PI * k / size;
      double c = Math.cos(angle);
      double s = Math.sin(angle);
      int a = start + k;
      int b = a + half;
      double x = re[b] * c - im[b] * s;
      double y = re[b] * s + im[b] * c;
      re[b] = re[a] - x;
      im[b] = im[a] - y;
      re[a] += x;
      im[a] += y;
    }
  }
}
