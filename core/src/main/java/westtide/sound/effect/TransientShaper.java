package westtide.sound.effect;

import westtide.sound.block.Stretch;

/**
 * Makes starts harder or softer, and what follows them longer or shorter, without a threshold: a
 * quick and a slow follower of the level tell by how much they disagree where a start is, and a
 * long one where a sound rings.
 */
public final class TransientShaper {
  private static final int EVERY = Stretch.EVERY;
  private static final double MOST = 4;
  private static final double FLOOR = 1e-4;

  private final double quickUp;
  private final double slowUp;
  private final double down;
  private final double longDown;
  private double quick;
  private double slow;
  private double ringing;
  private float before = 1;

  /** One for so many samples a second. */
  public TransientShaper(int rate) {
    quickUp = Stretch.approach(0.6, rate);
    slowUp = Stretch.approach(22, rate);
    down = Stretch.approach(45, rate);
    longDown = Stretch.approach(420, rate);
  }

  /** Forgets what it heard. */
  public void clear() {
    quick = 0;
    slow = 0;
    ringing = 0;
    before = 1;
  }

  /**
   * Multiplies gains, one a sample, by what the block asks for.
   *
   * @param attack −1 softest to 1 hardest starts
   * @param sustain −1 shortest to 1 longest ringing
   */
  public void gains(
      float[] left, float[] right, int frames, double attack, double sustain, float[] gains) {
    for (int from = 0; from < frames; from += EVERY) {
      double peak = 0;
      for (int i = from; i < from + EVERY; i++) {
        peak = Math.max(peak, Math.max(Math.abs(left[i]), Math.abs(right[i])));
      }
      quick += (peak > quick ? quickUp : down) * (peak - quick);
      slow += (peak > slow ? slowUp : down) * (peak - slow);
      ringing += (peak > ringing ? quickUp : longDown) * (peak - ringing);
      double start = Math.min(MOST, (quick + FLOOR) / (slow + FLOOR));
      double tail = Math.min(MOST, (ringing + FLOOR) / (quick + FLOOR));
      float after = (float) (power(start, attack) * power(tail, 0.8 * sustain));
      float step = (after - before) / EVERY;
      for (int i = 0; i < EVERY; i++) {
        gains[from + i] *= before + step * (i + 1);
      }
      before = after;
    }
  }

  private static double power(double base, double exponent) {
    return exponent == 0 ? 1 : Math.pow(base, exponent);
  }
}
