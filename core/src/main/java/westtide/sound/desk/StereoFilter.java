package westtide.sound.desk;

import java.util.Arrays;

/** A low cut or a low pass of 12 dB an octave over both sides of a block. */
final class StereoFilter {
  private final int rate;
  private final boolean low;
  private final double[] one = new double[2];
  private final double[] two = new double[2];
  private double b0;
  private double b1;
  private double a1;
  private double a2;
  private double hertz = -1;

  private StereoFilter(int rate, boolean low) {
    this.rate = rate;
    this.low = low;
  }

  /** A filter that keeps what lies above its cutoff. */
  static StereoFilter cuttingLows(int rate) {
    return new StereoFilter(rate, false);
  }

  /** A filter that keeps what lies below its cutoff. */
  static StereoFilter cuttingHighs(int rate) {
    return new StereoFilter(rate, true);
  }

  /** Moves the cutoff, in Hz. */
  void set(double cutoff) {
    if (cutoff == hertz) {
      return;
    }
    hertz = cutoff;
    double k = Math.tan(Math.PI * Math.min(cutoff, 0.45 * rate) / rate);
    double scale = 1 / (1 + Math.sqrt(2) * k + k * k);
    b0 = low ? k * k * scale : scale;
    b1 = low ? 2 * b0 : -2 * b0;
    a1 = 2 * (k * k - 1) * scale;
    a2 = (1 - Math.sqrt(2) * k + k * k) * scale;
  }

  void clear() {
    Arrays.fill(one, 0);
    Arrays.fill(two, 0);
  }

  /** Filters a stretch of both sides, or of the left alone when {@code middle}. */
  void run(float[] left, float[] right, int from, int until, boolean middle) {
    run(left, from, until, 0);
    if (!middle) {
      run(right, from, until, 1);
    }
  }

  private void run(float[] samples, int from, int until, int side) {
    double c0 = b0;
    double c1 = b1;
    double d1 = a1;
    double d2 = a2;
    double first = one[side];
    double second = two[side];
    for (int i = from; i < until; i++) {
      double in = samples[i];
      double out = c0 * in + first;
      first = c1 * in + second - d1 * out;
      second = c0 * in - d2 * out;
      samples[i] = (float) out;
    }
    one[side] = first;
    two[side] = second;
  }
}
