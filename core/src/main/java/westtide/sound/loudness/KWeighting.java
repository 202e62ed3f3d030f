package westtide.sound.loudness;

import westtide.sound.voice.Fade;

/**
 * The two filters of ITU-R BS.1770 that make a signal count as loudness count it: a shelf for the
 * head and a low cut. At 48 kHz they are those of the standard's tables (from memory); at other
 * rates the same analogue curves are transformed anew.
 */
final class KWeighting {
  private static final double SHELF_HERTZ = 1681.974450955533;
  private static final double SHELF_DB = 3.999843853973347;
  private static final double SHELF_Q = 0.7071752369554196;
  private static final double CUT_HERTZ = 38.13547087602444;
  private static final double CUT_Q = 0.5003270373238773;

  private final double[] shelf;
  private final double[] cut;
  private double s1;
  private double s2;
  private double c1;
  private double c2;

  KWeighting(int rate) {
    shelf = shelf(rate);
    cut = cut(rate);
  }

  /** Coefficients b0 b1 b2 a1 a2 of the shelf. */
  static double[] shelf(int rate) {
    double k = Math.tan(Math.PI * SHELF_HERTZ / rate);
    double high = Math.pow(10, SHELF_DB / 20);
    double band = Math.pow(high, 0.4996667741545416);
    double a0 = 1 + k / SHELF_Q + k * k;
    return new double[] {
      (high + band * k / SHELF_Q + k * k) / a0,
      2 * (k * k - high) / a0,
      (high - band * k / SHELF_Q + k * k) / a0,
      2 * (k * k - 1) / a0,
      (1 - k / SHELF_Q + k * k) / a0
    };
  }

  /** Coefficients b0 b1 b2 a1 a2 of the low cut. */
  static double[] cut(int rate) {
    double k = Math.tan(Math.PI * CUT_HERTZ / rate);
    double a0 = 1 + k / CUT_Q + k * k;
    return new double[] {1, -2, 1, 2 * (k * k - 1) / a0, (1 - k / CUT_Q + k * k) / a0};
  }

  /** The sum of squares of a stretch after weighting. */
  double energy(float[] samples, int from, int until) {
    double sum = 0;
    double b0 = shelf[0];
    double b1 = shelf[1];
    double b2 = shelf[2];
    double a1 = shelf[3];
    double a2 = shelf[4];
    double d1 = cut[3];
    double d2 = cut[4];
    double x1 = s1;
    double x2 = s2;
    double y1 = c1;
    double y2 = c2;
    for (int i = from; i < until; i++) {
      double in = samples[i];
      double shelved = b0 * in + x1;
      x1 = b1 * in - a1 * shelved + x2;
      x2 = b2 * in - a2 * shelved;
      double out = shelved + y1;
      y1 = -2 * shelved - d1 * out + y2;
      y2 = shelved - d2 * out;
      sum += out * out;
    }
    s1 = Fade.kept(x1);
    s2 = Fade.kept(x2);
    c1 = Fade.kept(y1);
    c2 = Fade.kept(y2);
    return sum;
  }
}
