package westtide.sound.effect;

import westtide.sound.voice.Fade;

/**
 * A filter of the second order over both sides of a stretch of samples. What it remembers is
 * stepped apart from what leaves, and more than one thing goes through each loop, so that a sample
 * waits as little as can be for the one before.
 */
public final class TwoSides {
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
  public void set(double b0, double b1, double b2, double a1, double a2) {
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

  /** Filters the left side, two samples a step: what is remembered goes on by two at once. */
  void left(double[] wave, int frames) {
    double b0 = direct;
    double p1 = firstTakes;
    double p2 = secondTakes;
    double a1 = firstKeeps;
    double a2 = secondKeeps;
    double firstFromFirst = a1 * a1 - a2;
    double secondFromFirst = a1 * a2;
    double firstFromIn = p2 - a1 * p1;
    double secondFromIn = -a2 * p1;
    double first = leftFirst;
    double second = leftSecond;
    int pairs = frames & ~1;
    for (int i = 0; i < pairs; i += 2) {
      double in = wave[i];
      double then = wave[i + 1];
      double between = (p1 * in + second) - a1 * first;
      wave[i] = b0 * in + first;
      wave[i + 1] = b0 * then + between;
      double next = (firstFromIn * in + p1 * then) + (firstFromFirst * first - a1 * second);
      second = (secondFromIn * in + p2 * then) + (secondFromFirst * first - a2 * second);
      first = next;
    }
    if (pairs < frames) {
      double in = wave[pairs];
      wave[pairs] = b0 * in + first;
      double next = (p1 * in + second) - a1 * first;
      second = p2 * in - a2 * first;
      first = next;
    }
    leftFirst = Fade.kept(first);
    leftSecond = Fade.kept(second);
  }

  /** Filters both sides. */
  void both(double[] left, double[] right, int frames) {
    double b0 = direct;
    double p1 = firstTakes;
    double p2 = secondTakes;
    double a1 = firstKeeps;
    double a2 = secondKeeps;
    double first = leftFirst;
    double second = leftSecond;
    double third = rightFirst;
    double fourth = rightSecond;
    for (int i = 0; i < frames; i++) {
      double in = left[i];
      double other = right[i];
      left[i] = b0 * in + first;
      right[i] = b0 * other + third;
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

  /** Filters the left side by this and then by another. */
  void leftThen(TwoSides other, double[] wave, int frames) {
    double b0 = direct;
    double p1 = firstTakes;
    double p2 = secondTakes;
    double a1 = firstKeeps;
    double a2 = secondKeeps;
    double otherB0 = other.direct;
    double otherP1 = other.firstTakes;
    double otherP2 = other.secondTakes;
    double otherA1 = other.firstKeeps;
    double otherA2 = other.secondKeeps;
    double first = leftFirst;
    double second = leftSecond;
    double third = other.leftFirst;
    double fourth = other.leftSecond;
    for (int i = 0; i < frames; i++) {
      double in = wave[i];
      double between = b0 * in + first;
      double next = (p1 * in + second) - a1 * first;
      second = p2 * in - a2 * first;
      first = next;
      wave[i] = otherB0 * between + third;
      double otherNext = (otherP1 * between + fourth) - otherA1 * third;
      fourth = otherP2 * between - otherA2 * third;
      third = otherNext;
    }
    leftFirst = Fade.kept(first);
    leftSecond = Fade.kept(second);
    other.leftFirst = Fade.kept(third);
    other.leftSecond = Fade.kept(fourth);
  }
}
