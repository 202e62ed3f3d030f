package westtide.found;

/** A sound at the lowest of its even parts of a rate that still holds what is looked for. */
final class Decimated {
  /** Hz that hold all that begins. */
  static final int ONSETS = 44_000;

  /** Hz that hold all pitches. */
  static final int PITCHES = 11_000;

  private static final int TAPS = 8;

  private final float[] samples;
  private final double rate;

  private Decimated(float[] samples, double rate) {
    this.samples = samples;
    this.rate = rate;
  }

  /** The sound at no less than that many samples a second, where it has as many. */
  static Decimated of(float[] samples, int rate, int least) {
    int factor = Math.max(1, rate / least);
    if (factor == 1) {
      return new Decimated(samples, rate);
    }
    int reach = TAPS * factor;
    float[] kernel = kernel(factor, reach);
    float[] out = new float[(samples.length + factor - 1) / factor];
    for (int i = 0; i < out.length; i++) {
      int middle = i * factor;
      int from = Math.max(-reach, -middle);
      int to = Math.min(reach, samples.length - 1 - middle);
      float sum = 0;
      for (int k = from; k <= to; k++) {
        sum += kernel[k + reach] * samples[middle + k];
      }
      out[i] = sum;
    }
    return new Decimated(out, rate / (double) factor);
  }

  /** A low-pass a little under half the new rate: a sinc in a Hann window. */
  private static float[] kernel(int factor, int reach) {
    float[] out = new float[2 * reach + 1];
    double sum = 0;
    for (int k = -reach; k <= reach; k++) {
      double x = 0.9 * k / factor;
      double sinc = k == 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x);
      double value = sinc * (0.5 + 0.5 * Math.cos(Math.PI * k / (reach + 1.0)));
      out[k + reach] = (float) value;
      sum += value;
    }
    for (int k = 0; k < out.length; k++) {
      out[k] /= (float) sum;
    }
    return out;
  }

  float[] samples() {
    return samples;
  }

  double rate() {
    return rate;
  }

  double seconds() {
    return samples.length / rate;
  }
}
