package westtide.sound.voice;

/**
 * A second-order filter whose cutoff may move without clicks (the trapezoidal state-variable form),
 * giving low, band and high at once; 12 dB an octave.
 */
public final class Filter {
  private final int rate;
  private double g;
  private double k;
  private double a1;
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
    g = Math.tan(Math.PI * Math.min(hertz, 0.45 * rate) / rate);
    k = 1 / q;
    a1 = 1 / (1 + g * (g + k));
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
    double v3 = in - two;
    band = a1 * (one + g * v3);
    low = two + g * band;
    one = 2 * band - one;
    two = 2 * low - two;
  }
}
