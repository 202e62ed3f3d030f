package westtide.sound.desk;

import westtide.sound.voice.Fade;

/**
 * A filter of the second order over both sides of a block. What it remembers is stepped apart from
 * what leaves, and both sides go through one loop, so that a sample waits as little as can be for
 * the one before.
 */
final class TwoSides {
  private double direct = 1;
  private double firstTakes;
  private double secondTakes;
  private double firstKeeps;
  private double secondKeeps;
  private double leftFirst;
  private double leftSecond;
  private double rightFirst;
  private double rightSecond;

  /**
   * Sets the coefficients of {@code (b0 + b1/z + b2/z²) / (1 + a1/z + a2/z²)}; what it remembers
   * stays.
   */
  void set(double b0, double b1, double b2, double a1, double a2) {
    direct = b0;
    firstTakes = b1 - a1 * b0;
    secondTakes = b2 - a2 * b0;
    firstKeeps = a1;
    secondKeeps = a2;
  }

  /** Forgets what went through. */
  void clear() {
    leftFirst = 0;
    leftSecond = 0;
    rightFirst = 0;
    rightSecond = 0;
  }

  /** Filters a stretch of both sides, or of the left alone when {@code middle}. */
  void run(float[] left, float[] right, int from, int until, boolean middle) {
    if (middle) {
      one(left, from, until);
    } else {
      both(left, right, from, until);
    }
  }

  private void one(float[] samples, int from, int until) {
    double b0 = direct;
    double p1 = firstTakes;
    double p2 = secondTakes;
    double a1 = firstKeeps;
    double a2 = secondKeeps;
    double first = leftFirst;
    double second = leftSecond;
    for (int i = from; i < until; i++) {
      double in = samples[i];
      samples[i] = (float) (b0 * in + first);
      double next = (p1 * in + second) - a1 * first;
      second = p2 * in - a2 * first;
      first = next;
    }
    leftFirst = Fade.kept(first);
    leftSecond = Fade.kept(second);
  }

  private void both(float[] left, float[] right, int from, int until) {
    double b0 = direct;
    double p1 = firstTakes;
    double p2 = secondTakes;
    double a1 = firstKeeps;
    double a2 = secondKeeps;
    double first = leftFirst;
    double second = leftSecond;
    double third = rightFirst;
    double fourth = rightSecond;
    for (int i = from; i < until; i++) {
      double in = left[i];
      double other = right[i];
      left[i] = (float) (b0 * in + first);
      right[i] = (float) (b0 * other + third);
      double next = (p1 * in + second) - a1 * first;
      double nextOther = (p1 * other + fourth) - a1 * third;
      second = p2 * in - a2 * first;
      fourth = p2 * other - a2 * third;
      first = next;
      third = nextOther;
    }
    leftFirst = Fade.kept(first);
    leftSecond = Fade.kept(second);
    rightFirst = Fade.kept(third);
    rightSecond = Fade.kept(fourth);
  }
}
