package westtide.crate;

import java.util.Random;

/**
 * What time did to a record.
 *
 * @param hiss noise, in dB under full scale; −120 is none
 * @param crackles clicks a second
 * @param dull Hz above which little is left; 0 is all of it
 */
record Wear(double hiss, double crackles, double dull) {
  private static final double NONE = -120;

  static Wear drawn(Random random) {
    boolean noisy = random.nextInt(10) < 4;
    boolean vinyl = random.nextInt(10) < 4;
    double hiss = noisy ? -68 + 14 * random.nextDouble() : NONE;
    double crackles = vinyl ? 1 + 5 * random.nextDouble() : 0;
    double dull = random.nextInt(10) < 3 ? 8000 + 6000 * random.nextDouble() : 0;
    return new Wear(hiss, crackles, dull);
  }

  void over(float[][] sides, int rate, Random random) {
    if (dull > 0) {
      for (float[] side : sides) {
        darken(side, rate);
      }
    }
    float peak = 1e-6f;
    for (float sample : sides[0]) {
      peak = Math.max(peak, Math.abs(sample));
    }
    for (float[] side : sides) {
      hiss(side, peak, random);
    }
    crackle(sides, rate, peak, random);
  }

  private void darken(float[] side, int rate) {
    double share = 1 - Math.exp(-2 * Math.PI * dull / rate);
    double once = 0;
    double twice = 0;
    for (int i = 0; i < side.length; i++) {
      once += share * (side[i] - once);
      twice += share * (once - twice);
      side[i] = (float) twice;
    }
  }

  private void hiss(float[] side, float peak, Random random) {
    if (hiss <= NONE) {
      return;
    }
    double level = peak * Math.pow(10, hiss / 20);
    for (int i = 0; i < side.length; i++) {
      side[i] += (float) (level * random.nextGaussian());
    }
  }

  /** Clicks of a millisecond, each some 30 to 45 dB under the loudest sample. */
  private void crackle(float[][] sides, int rate, float peak, Random random) {
    int count = (int) (crackles * sides[0].length / rate);
    for (int click = 0; click < count; click++) {
      int at = random.nextInt(sides[0].length);
      double level = peak * Math.pow(10, -(30 + 15 * random.nextDouble()) / 20);
      int length = 1 + random.nextInt(rate / 1000);
      for (int i = 0; i < length && at + i < sides[0].length; i++) {
        float sample = (float) (level * (1 - i / (double) length) * (i % 2 == 0 ? 1 : -1));
        for (float[] side : sides) {
          side[at + i] += sample;
        }
      }
    }
  }
}
