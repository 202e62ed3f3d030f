package westtide.sound.desk;

import westtide.song.mix.Duck;

/**
 * The curve along which a part comes back after a trigger: {@code −depth · (1 − x)²} dB, x being
 * the share of its time that has passed. Kept as a table, so that the audio thread need not raise
 * powers.
 */
final class DuckShape {
  private static final int POINTS = 256;

  private final float[] gains = new float[POINTS + 2];

  DuckShape(Duck duck) {
    for (int i = 0; i < gains.length; i++) {
      double left = Math.max(0, 1 - i / (double) POINTS);
      gains[i] = (float) Decibels.gain(-duck.depth() / 10.0 * left * left);
    }
  }

  /** The factor when a share of the time has passed; 1 before a trigger and once it is over. */
  float gain(double passed) {
    if (passed >= 1 || passed < 0) {
      return 1;
    }
    double place = passed * POINTS;
    int index = (int) place;
    return gains[index] + (float) (place - index) * (gains[index + 1] - gains[index]);
  }
}
