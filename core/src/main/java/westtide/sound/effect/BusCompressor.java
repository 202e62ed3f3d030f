package westtide.sound.effect;

import westtide.sound.block.Decibels;
import westtide.sound.block.Stretch;

/**
 * A gentle compressor: slow to act, soft at its threshold, both sides alike. It holds a bus
 * together by a few dB and never by more than {@value #MOST_DB}.
 */
public final class BusCompressor {
  private static final int EVERY = Stretch.EVERY;
  private static final double THRESHOLD_DB = -20;
  private static final double KNEE_DB = 12;
  private static final double MOST_DB = 8;

  /** The power below which nothing is asked for. */
  private static final double SOFTEST = Math.pow(10, (THRESHOLD_DB - KNEE_DB / 2) / 10);

  private final double meter;
  private final double attack;
  private final double release;
  private double power;
  private double taken;
  private float before = 1;

  /** One for so many samples a second. */
  public BusCompressor(int rate) {
    meter = Stretch.approach(12, rate);
    attack = Stretch.approach(28, rate);
    release = Stretch.approach(190, rate);
  }

  /** Multiplies gains, one a sample, by what the block asks for; {@code amount} is 0 to 1. */
  public void gains(float[] left, float[] right, int frames, double amount, float[] gains) {
    for (int from = 0; from < frames; from += EVERY) {
      power += meter * (energy(left, right, from) / (2 * EVERY) - power);
      double wanted = wanted(amount);
      if (wanted == 0 && taken < 1e-9 && before == 1) {
        continue;
      }
      taken += (wanted > taken ? attack : release) * (wanted - taken);
      float after = (float) Decibels.gain(-taken);
      float step = (after - before) / EVERY;
      for (int i = 0; i < EVERY; i++) {
        gains[from + i] *= before + step * (i + 1);
      }
      before = after;
    }
  }

  private static float energy(float[] left, float[] right, int from) {
    float even = 0;
    float odd = 0;
    for (int i = from; i < from + EVERY; i += 2) {
      even += left[i] * left[i] + right[i] * right[i];
      odd += left[i + 1] * left[i + 1] + right[i + 1] * right[i + 1];
    }
    return even + odd;
  }

  private double wanted(double amount) {
    if (power < SOFTEST) {
      return 0;
    }
    return Math.min(MOST_DB, 0.6 * amount * over(10 * Math.log10(power) - THRESHOLD_DB));
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
