package westtide.sound.desk;

/**
 * Splits a side into lows and the rest by two first-order filters in a row each (Linkwitz and
 * Riley's second order, from memory): put together again they are as loud as before at every
 * frequency.
 */
final class Crossover {
  private final int rate;
  private double g;
  private double first;
  private double second;

  Crossover(int rate) {
    this.rate = rate;
  }

  void set(double hertz) {
    double k = Math.tan(Math.PI * hertz / rate);
    g = k / (1 + k);
  }

  void clear() {
    first = 0;
    second = 0;
  }

  /** Keeps the rest as it is and scales the lows by a factor that moves in a straight line. */
  void scaleLows(float[] samples, int from, int until, double gain, double gainAfter) {
    double step = (gainAfter - gain) / (until - from);
    double now = gain;
    for (int i = from; i < until; i++) {
      double in = samples[i];
      double v = (in - first) * g;
      double once = v + first;
      first = once + v;
      double w = (once - second) * g;
      double low = w + second;
      second = low + w;
      samples[i] = (float) (now * low - (in - 2 * once + low));
      now += step;
    }
  }
}
