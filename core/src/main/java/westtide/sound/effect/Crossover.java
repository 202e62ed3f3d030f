package westtide.sound.effect;

/**
 * Splits both sides into lows and the rest by two first-order filters in a row each (Linkwitz and
 * Riley's second order, from memory): put together again they are as loud as before at every
 * frequency.
 */
public final class Crossover {
  private final int rate;
  private double hertz;
  private double takes;
  private double keeps;
  private double left;
  private double leftAgain;
  private double right;
  private double rightAgain;

  /** One for so many samples a second. */
  public Crossover(int rate) {
    this.rate = rate;
  }

  /** Parts lows and highs at a frequency, in Hz. */
  public void set(double cutoff) {
    if (cutoff == hertz) {
      return;
    }
    hertz = cutoff;
    double k = Math.tan(Math.PI * cutoff / rate);
    takes = k / (1 + k);
    keeps = 1 - 2 * takes;
  }

  /** Forgets what it heard. */
  public void clear() {
    left = 0;
    leftAgain = 0;
    right = 0;
    rightAgain = 0;
  }

  /**
   * Keeps the rest as it is and scales the lows by a factor that moves in a straight line; of the
   * left side alone when {@code middle}.
   */
  public void scaleLows(
      float[] leftSide,
      float[] rightSide,
      int from,
      int until,
      double gain,
      double gainAfter,
      boolean middle) {
    if (middle) {
      scaleOne(leftSide, from, until, gain, gainAfter);
    } else {
      scaleBoth(leftSide, rightSide, from, until, gain, gainAfter);
    }
  }

  private void scaleOne(float[] samples, int from, int until, double gain, double gainAfter) {
    double step = (gainAfter - gain) / (until - from);
    double g = takes;
    double stay = keeps;
    double first = left;
    double second = leftAgain;
    for (int i = from; i < until; i++) {
      double in = samples[i];
      double once = first + g * (in - first);
      double low = second + g * (once - second);
      first = stay * first + 2 * g * in;
      second = stay * second + 2 * g * once;
      samples[i] = (float) ((gain + step * (i - from)) * low - (in - 2 * once + low));
    }
    left = first;
    leftAgain = second;
  }

  private void scaleBoth(
      float[] leftSide, float[] rightSide, int from, int until, double gain, double gainAfter) {
    double step = (gainAfter - gain) / (until - from);
    double g = takes;
    double stay = keeps;
    double first = left;
    double second = leftAgain;
    double third = right;
    double fourth = rightAgain;
    for (int i = from; i < until; i++) {
      double now = gain + step * (i - from);
      double in = leftSide[i];
      double other = rightSide[i];
      double once = first + g * (in - first);
      double otherOnce = third + g * (other - third);
      double low = second + g * (once - second);
      double otherLow = fourth + g * (otherOnce - fourth);
      first = stay * first + 2 * g * in;
      third = stay * third + 2 * g * other;
      second = stay * second + 2 * g * once;
      fourth = stay * fourth + 2 * g * otherOnce;
      leftSide[i] = (float) (now * low - (in - 2 * once + low));
      rightSide[i] = (float) (now * otherLow - (other - 2 * otherOnce + otherLow));
    }
    left = first;
    leftAgain = second;
    right = third;
    rightAgain = fourth;
  }
}
