package westtide.sound.voice;

/**
 * A second-order filter whose cutoff may move without clicks (the trapezoidal state-variable form),
 * giving low, band and high at once; 12 dB an octave. Its two integrators are stepped by one
 * matrix, so that a sample waits for one multiplication of the sample before and not for a row of
 * them.
 */
public final class Filter {
  private final int rate;
  private double k;
  private double bandKeeps;
  private double shared;
  private double lowKeeps;
  private double lowTakes;
  private double one;
  private double two;
  private double band;
  private double low;

  /** A filter at a sample rate. */
  public Filter(int rate) {
    this.rate = rate;
    set(1000, Math.sqrt(0.5));
  }

  /** Moves the cutoff, in Hz, held below 0.45 of the sample rate, and sets the resonance. */
  public Filter set(double hertz, double q) {
    double g = Math.tan(Math.PI * Math.min(hertz, 0.45 * rate) / rate);
    k = 1 / q;
    double a = 1 / (1 + g * (g + k));
    bandKeeps = 2 * a - 1;
    shared = 2 * a * g;
    lowTakes = shared * g;
    lowKeeps = 1 - lowTakes;
    return this;
  }

  /** The part of a signal below the cutoff. */
  public double low(double in) {
    step(in);
    return low;
  }

  /** The part of a signal around the cutoff, as loud there as it came in. */
  public double band(double in) {
    step(in);
    return k * band;
  }

  /** The part of a signal above the cutoff. */
  public double high(double in) {
    step(in);
    return in - k * band - low;
  }

  /** Leaves of a stretch of samples what lies below the cutoff. */
  public void low(double[] wave, int from, int until) {
    double first = one;
    double second = two;
    for (int i = from; i < until; i++) {
      double in = wave[i];
      double nextFirst = bandKeeps * first - shared * second + shared * in;
      double nextSecond = lowKeeps * second + shared * first + lowTakes * in;
      wave[i] = 0.5 * (second + nextSecond);
      first = nextFirst;
      second = nextSecond;
    }
    one = first;
    two = second;
  }

  /** What a filter leaves of a sound: so much of what comes in, of its band and of its lows. */
  public enum Leaves {
    /** What lies below the cutoff. */
    LOWS(0, 0, 1),
    /** What lies around the cutoff, as loud there as it came in. */
    BAND(0, 1, 0),
    /** What lies above the cutoff. */
    HIGHS(1, -1, -1);

    private final double ofInput;
    private final double ofBand;
    private final double ofLows;

    Leaves(double ofInput, double ofBand, double ofLows) {
      this.ofInput = ofInput;
      this.ofBand = ofBand;
      this.ofLows = ofLows;
    }
  }

  /**
   * Sends a stretch of samples through two filters, one after the other. A sample goes through the
   * second while the next goes through the first, so that both cost hardly more than one.
   */
  public static void inTurn(
      Filter a, Leaves first, Filter b, Leaves second, double[] wave, int from, int until) {
    double bandKeepsA = a.bandKeeps;
    double sharedA = a.shared;
    double lowKeepsA = a.lowKeeps;
    double lowTakesA = a.lowTakes;
    double bandKeepsB = b.bandKeeps;
    double sharedB = b.shared;
    double lowKeepsB = b.lowKeeps;
    double lowTakesB = b.lowTakes;
    double inputA = first.ofInput;
    double bandA = 0.5 * a.k * first.ofBand;
    double lowsA = 0.5 * first.ofLows;
    double inputB = second.ofInput;
    double bandB = 0.5 * b.k * second.ofBand;
    double lowsB = 0.5 * second.ofLows;
    double oneA = a.one;
    double twoA = a.two;
    double oneB = b.one;
    double twoB = b.two;
    for (int i = from; i < until; i++) {
      double in = wave[i];
      double nextOneA = bandKeepsA * oneA - sharedA * twoA + sharedA * in;
      double nextTwoA = lowKeepsA * twoA + sharedA * oneA + lowTakesA * in;
      double between = inputA * in + bandA * (oneA + nextOneA) + lowsA * (twoA + nextTwoA);
      oneA = nextOneA;
      twoA = nextTwoA;
      double nextOneB = bandKeepsB * oneB - sharedB * twoB + sharedB * between;
      double nextTwoB = lowKeepsB * twoB + sharedB * oneB + lowTakesB * between;
      wave[i] = inputB * between + bandB * (oneB + nextOneB) + lowsB * (twoB + nextTwoB);
      oneB = nextOneB;
      twoB = nextTwoB;
    }
    a.one = oneA;
    a.two = twoA;
    b.one = oneB;
    b.two = twoB;
  }

  private void step(double in) {
    double nextOne = bandKeeps * one - shared * two + shared * in;
    double nextTwo = lowKeeps * two + shared * one + lowTakes * in;
    band = 0.5 * (one + nextOne);
    low = 0.5 * (two + nextTwo);
    one = nextOne;
    two = nextTwo;
  }
}
