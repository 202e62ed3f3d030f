package westtide.sound.desk;

import java.util.Arrays;

/**
 * A second-order filter over both sides of a block: a shelf or a bell (Bristow-Johnson's cookbook;
 * from memory). At 0 dB it passes everything untouched.
 */
final class Biquad {
  private static final double SLOPE = Math.sqrt(0.5);

  private final int rate;
  private final double[] one = new double[2];
  private final double[] two = new double[2];
  private double b0 = 1;
  private double b1;
  private double b2;
  private double a1;
  private double a2;
  private boolean flat = true;

  Biquad(int rate) {
    this.rate = rate;
  }

  /** Raises or lowers everything below a frequency. */
  void lowShelf(double hertz, double decibels) {
    shelf(hertz, decibels, 1);
  }

  /** Raises or lowers everything above a frequency. */
  void highShelf(double hertz, double decibels) {
    shelf(hertz, decibels, -1);
  }

  private void shelf(double hertz, double decibels, int up) {
    double a = Math.pow(10, decibels / 40);
    double cos = Math.cos(2 * Math.PI * hertz / rate);
    double alpha = Math.sin(2 * Math.PI * hertz / rate) / (2 * SLOPE);
    double root = 2 * Math.sqrt(a) * alpha;
    double a0 = (a + 1) + up * (a - 1) * cos + root;
    b0 = a * ((a + 1) - up * (a - 1) * cos + root) / a0;
    b1 = up * 2 * a * ((a - 1) - up * (a + 1) * cos) / a0;
    b2 = a * ((a + 1) - up * (a - 1) * cos - root) / a0;
    a1 = up * -2 * ((a - 1) + up * (a + 1) * cos) / a0;
    a2 = ((a + 1) + up * (a - 1) * cos - root) / a0;
    flat = decibels == 0;
  }

  /** Raises or lowers what lies around a frequency, about an octave and a half wide. */
  void bell(double hertz, double decibels) {
    double a = Math.pow(10, decibels / 40);
    double cos = Math.cos(2 * Math.PI * hertz / rate);
    double alpha = Math.sin(2 * Math.PI * hertz / rate) / 1.8;
    double a0 = 1 + alpha / a;
    b0 = (1 + alpha * a) / a0;
    b1 = -2 * cos / a0;
    b2 = (1 - alpha * a) / a0;
    a1 = b1;
    a2 = (1 - alpha / a) / a0;
    flat = decibels == 0;
  }

  void clear() {
    Arrays.fill(one, 0);
    Arrays.fill(two, 0);
  }

  /** Filters both sides, or the left alone when {@code middle}. */
  void run(float[] left, float[] right, int frames, boolean middle) {
    if (flat) {
      return;
    }
    run(left, frames, 0);
    if (!middle) {
      run(right, frames, 1);
    }
  }

  private void run(float[] samples, int frames, int side) {
    double first = one[side];
    double second = two[side];
    for (int i = 0; i < frames; i++) {
      double in = samples[i];
      double out = b0 * in + first;
      first = b1 * in - a1 * out + second;
      second = b2 * in - a2 * out;
      samples[i] = (float) out;
    }
    one[side] = first;
    two[side] = second;
  }
}
