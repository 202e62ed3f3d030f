package westtide.review.lowend;

/**
 * Where an 808 is useful and what other parts leave to it, as MIDI notes. Common practice, no
 * published source.
 */
public final class LowEndRange {
  /** E1, 41.2 Hz: lower, small speakers give nothing. */
  public static final int LOWEST_USEFUL = 28;

  /** E2, 82.4 Hz: up to here it is felt most. */
  public static final int HIGHEST_USEFUL = 40;

  /** A2, 110 Hz: higher, it stops being a sub. */
  public static final int HIGHEST_SUB = 45;

  /**
   * D3, 146.8 Hz: the highest note below 150 Hz, which lines and chords give up while an 808
   * sounds.
   */
  public static final int HIGHEST_LEFT_FREE = 50;

  private LowEndRange() {}

  /** Whether an 808 note is low enough to be a sub and high enough to be heard. */
  public static boolean sub(int midi) {
    return midi >= LOWEST_USEFUL && midi <= HIGHEST_SUB;
  }

  /** Whether a note of another part lies in the zone left to the 808. */
  public static boolean leftFree(int midi) {
    return midi <= HIGHEST_LEFT_FREE;
  }
}
