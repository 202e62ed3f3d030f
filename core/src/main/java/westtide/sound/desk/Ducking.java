package westtide.sound.desk;

import java.util.Arrays;
import westtide.rhythm.Ticks;
import westtide.song.mix.Duck;

/**
 * Finds the last trigger of a part that steps back, and its gain by the time passed since. It
 * remembers the last kick, since blocks mostly follow each other.
 */
final class Ducking {
  private int last = -1;

  /** The factor at a control point, 1 where nothing steps back. */
  float gain(Duck duck, DuckShape shape, Stretch stretch, int point, int[] kicks) {
    double tick = stretch.tick(point);
    return shape.gain(stretch.millis(trigger(duck, tick, kicks), tick) / duck.millis());
  }

  private double trigger(Duck duck, double tick, int[] kicks) {
    if (duck.trigger() == Duck.Trigger.QUARTERS) {
      return Math.floor(tick / Ticks.PER_QUARTER) * Ticks.PER_QUARTER;
    }
    boolean follows = last >= 0 && last < kicks.length && kicks[last] <= tick;
    if (follows) {
      while (last + 1 < kicks.length && kicks[last + 1] <= tick) {
        last++;
      }
    } else {
      int found = Arrays.binarySearch(kicks, (int) Math.floor(tick));
      last = found >= 0 ? found : -found - 2;
    }
    return last < 0 ? Double.NEGATIVE_INFINITY : kicks[last];
  }
}
