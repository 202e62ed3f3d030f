package westtide.sound.desk;

/**
 * A gentle compressor: slow to act, soft at its threshold, both sides alike. It holds a bus
 * together by a few dB and never by more than {@value #MOST_DB}.
 */
final class Glue {
  private static final int EVERY = Stretch.EVERY;
  private static final double THRESHOLD_DB = -20;
  private static final double KNEE_DB = 12;
  private static final double MOST_DB = 8;

  private final double meter;
  private final double attack;
  private final double release;
  private double power;
  private double taken;
  private float before = 1;

  Glue(int rate) {
    meter = Stretch.approach(12, rate);
    attack = Stretch.approach(28, rate);
    release = Stretch.approach(190, rate);
  }

  /** Multiplies gains, one a sample, by what the block asks for; {@code amount} is 0 to 1. */
  void gains(float[] left, float[] right, int frames, double amount, float[] gains) {
    for (int from = 0; from < frames; from += EVERY) {
      double sum = 0;
      for (int i = from; i < from + EVERY; i++) {
        sum += left[i] * left[i] + right[i] * right[i];
      }
      power += meter * (sum / (2 * EVERY) - power);
      double over = over(10 * Math.log10(power + 1e-12) - THRESHOLD_DB);
      double wanted = Math.min(MOST_DB, 0.6 * amount * over);
      taken += (wanted > taken ? attack : release) * (wanted - taken);
      float after = (float) Decibels.gain(-taken);
      float step = (after - before) / EVERY;
      for (int i = 0; i < EVERY; i++) {
        gains[from + i] *= before + step * (i + 1);
      }
      before = after;
    }
  }

  /** How far a level is over the threshold, coming in softly around it. */
  private static double over(double apart) {
    if (apart <= -KNEE_DB / 2) {
      return 0;
    }
    if (apart >= KNEE_DB / 2) {
      return apart;
    }
    double into = apart + KNEE_DB / 2;
    return into * into / (2 * KNEE_DB);
  }
}
