package westtide.sound.effect;

/**
 * A second-order filter over both sides of a block: a shelf or a bell (Bristow-Johnson's cookbook;
 * from memory). At 0 dB it passes everything untouched.
 */
public final class Biquad {
  private static final double SLOPE = Math.sqrt(0.5);

  private final int rate;
  private final TwoSides sides = new TwoSides();
  private boolean flat = true;

  /** One for so many samples a second. */
  public Biquad(int rate) {
    this.rate = rate;
  }

  /** Raises or lowers everything below a frequency. */
  public void lowShelf(double hertz, double decibels) {
    shelf(hertz, decibels, 1);
  }

  /** Raises or lowers everything above a frequency. */
  public void highShelf(double hertz, double decibels) {
    shelf(hertz, decibels, -1);
  }

  private void shelf(double hertz, double decibels, int up) {
    double a = Math.pow(10, decibels / 40);
    double cos = Math.cos(2 * Math.PI * hertz / rate);
    double alpha = Math.sin(2 * Math.PI * hertz / rate) / (2 * SLOPE);
    double root = 2 * Math.sqrt(a) * alpha;
    double a0 = (a + 1) + up * (a - 1) * cos + root;
    sides.set(
        a * ((a + 1) - up * (a - 1) * cos + root) / a0,
        up * 2 * a * ((a - 1) - up * (a + 1) * cos) / a0,
        a * ((a + 1) - up * (a - 1) * cos - root) / a0,
        up * -2 * ((a - 1) + up * (a + 1) * cos) / a0,
        ((a + 1) + up * (a - 1) * cos - root) / a0);
    flat = decibels == 0;
  }

  /** Raises or lowers what lies around a frequency, about an octave and a half wide. */
  public void bell(double hertz, double decibels) {
    double a = Math.pow(10, decibels / 40);
    double cos = Math.cos(2 * Math.PI * hertz / rate);
    double alpha = Math.sin(2 * Math.PI * hertz / rate) / 1.8;
    double a0 = 1 + alpha / a;
    double middle = -2 * cos / a0;
    sides.set((1 + alpha * a) / a0, middle, (1 - alpha * a) / a0, middle, (1 - alpha / a) / a0);
    flat = decibels == 0;
  }

  /** Forgets what it heard. */
  public void clear() {
    sides.clear();
  }

  /** Puts it into a row of filters unless it would pass everything untouched. */
  public void into(FilterRow row) {
    if (!flat) {
      row.add(sides);
    }
  }
}
