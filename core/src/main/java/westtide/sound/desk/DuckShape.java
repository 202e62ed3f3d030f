package westtide.sound.desk;

import westtide.song.mix.Duck;
import westtide.sound.block.Decibels;

/**
 * The gain of a part after a trigger: down for its hold, then back along its curve. Kept as a
 * table, so that the audio thread need not raise powers.
 */
final class DuckShape {
  private static final int POINTS = 256;

  private final float[] gains = new float[POINTS + 2];

  private final double millis;

  DuckShape(Duck duck) {
    millis = duck.hold() + duck.millis();
    for (int i = 0; i < gains.length; i++) {
      gains[i] = (float) Decibels.gain(duck.gain(millis * i / POINTS));
    }
  }

  /** The factor so many ms after a trigger; 1 before a trigger and once it is over. */
  float gain(double after) {
    double passed = after / millis;
    if (passed >= 1 || passed < 0) {
      return 1;
    }
    double place = passed * POINTS;
    int index = (int) place;
    return gains[index] + (float) (place - index) * (gains[index + 1] - gains[index]);
  }
}
