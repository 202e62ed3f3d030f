package westtide.sound.desk;

import java.util.Arrays;
import westtide.rhythm.Ticks;
import westtide.song.mix.Duck;
import westtide.sound.block.Stretch;

/**
 * Finds the last trigger of a part that steps back, and its gain by the time passed since. It
 * remembers the last one, since blocks mostly follow each other.
 */
final class Ducking {
  private int last = -1;

  /** The factor at a control point, 1 where nothing steps back. */
  float gain(Duck duck, DuckShape shape, Stretch stretch, int point, int[] triggers) {
    double tick = stretch.tick(point);
    return shape.gain(stretch.millis(trigger(duck, tick, triggers), tick));
  }

  private double trigger(Duck duck, double tick, int[] triggers) {
    if (duck.trigger() == Duck.Trigger.QUARTERS) {
      return Math.floor(tick / Ticks.PER_QUARTER) * Ticks.PER_QUARTER;
    }
    boolean follows = last >= 0 && last < triggers.length && triggers[last] <= tick;
    if (follows) {
      while (last + 1 < triggers.length && triggers[last + 1] <= tick) {
        last++;
      }
    } else {
      int found = Arrays.binarySearch(triggers, (int) Math.floor(tick));
      last = found >= 0 ? found : -found - 2;
    }
    return last < 0 ? Double.NEGATIVE_INFINITY : triggers[last];
  }
}
