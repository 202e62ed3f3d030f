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

  private void step(double in) {
    double nextOne = bandKeeps * one - shared * two + shared * in;
    double nextTwo = lowKeeps * two + shared * one + lowTakes * in;
    band = 0.5 * (one + nextOne);
    low = 0.5 * (two + nextTwo);
    one = nextOne;
    two = nextTwo;
  }
}
