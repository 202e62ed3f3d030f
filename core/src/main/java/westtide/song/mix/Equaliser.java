package westtide.song.mix;

/**
 * Three bands: everything low, a bell around a middle, and everything high. The low cut and the
 * low-pass of the mix stand beside it.
 *
 * @param low tenths of a dB below about {@value #LOW_HERTZ} Hz, −150 to 150
 * @param mid tenths of a dB around the middle, −150 to 150
 * @param midHertz the middle in Hz, 200 to 8000
 * @param high tenths of a dB above about {@value #HIGH_HERTZ} Hz, −150 to 150
 */
public record Equaliser(int low, int mid, int midHertz, int high) {
  /** Where the low shelf turns. */
  public static final int LOW_HERTZ = 140;

  /** Where the high shelf turns. */
  public static final int HIGH_HERTZ = 5000;

  /** The most a band is raised or lowered, in tenths of a dB. */
  public static final int MOST = 150;

  /** Nothing raised and nothing lowered. */
  public static final Equaliser FLAT = new Equaliser(0, 0, 1000, 0);

  /** Checks the ranges. */
  public Equaliser {
    Range.check("a low band", low, -MOST, MOST, "tenths of a dB");
    Range.check("a middle band", mid, -MOST, MOST, "tenths of a dB");
    Range.check("the middle of a band", midHertz, 200, 8000, "Hz");
    Range.check("a high band", high, -MOST, MOST, "tenths of a dB");
  }

  /** The same with another low band. */
  public Equaliser withLow(int tenths) {
    return new Equaliser(tenths, mid, midHertz, high);
  }

  /** The same with another gain in the middle. */
  public Equaliser withMid(int tenths) {
    return new Equaliser(low, tenths, midHertz, high);
  }

  /** The same with its bell around another frequency. */
  public Equaliser withMidHertz(int hertz) {
    return new Equaliser(low, mid, hertz, high);
  }

  /** The same with another high band. */
  public Equaliser withHigh(int tenths) {
    return new Equaliser(low, mid, midHertz, tenths);
  }

  /** Whether it changes nothing. */
  public boolean flat() {
    return low == 0 && mid == 0 && high == 0;
  }
}
