package westtide.sound.effect;

/** A low cut or a low pass of 12 dB an octave over both sides of a block. */
public final class StereoFilter {
  private final int rate;
  private final boolean low;
  private final TwoSides sides = new TwoSides();
  private double hertz = -1;

  private StereoFilter(int rate, boolean low) {
    this.rate = rate;
    this.low = low;
  }

  /** A filter that keeps what lies above its cutoff. */
  public static StereoFilter cuttingLows(int rate) {
    return new StereoFilter(rate, false);
  }

  /** A filter that keeps what lies below its cutoff. */
  public static StereoFilter cuttingHighs(int rate) {
    return new StereoFilter(rate, true);
  }

  /** Moves the cutoff, in Hz. */
  public void set(double cutoff) {
    if (cutoff == hertz) {
      return;
    }
    hertz = cutoff;
    double k = Math.tan(Math.PI * Math.min(cutoff, 0.45 * rate) / rate);
    double scale = 1 / (1 + Math.sqrt(2) * k + k * k);
    double outer = low ? k * k * scale : scale;
    sides.set(
        outer,
        low ? 2 * outer : -2 * outer,
        outer,
        2 * (k * k - 1) * scale,
        (1 - Math.sqrt(2) * k + k * k) * scale);
  }

  /** The one of two cutoffs in Hz that takes more away. */
  public double stricter(double one, double other) {
    return low ? Math.min(one, other) : Math.max(one, other);
  }

  /** Forgets what it heard. */
  public void clear() {
    sides.clear();
  }

  /** What a {@link FilterRow} takes in. */
  public TwoSides sides() {
    return sides;
  }
}
