package westtide.song.pattern;

import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;

/**
 * A length of its own for a written line, in steps, so that it runs against the bar: five, seven or
 * twelve sixteenths that come round at another place in every bar.
 *
 * @param steps length in sixteenths, 2 to 64; 0 where the line is as long as its bars
 * @param restartBars bars after which it begins again with the bar, 1 to 16; 0 runs through the
 *     section
 */
public record LineCycle(int steps, int restartBars) {
  /** As long as its bars. */
  public static final LineCycle NONE = new LineCycle(0, 0);

  /** Checks the ranges. */
  public LineCycle {
    if (steps != 0 && (steps < 2 || steps > 64)) {
      throw new IllegalArgumentException("a cycle has 2 to 64 steps, but was " + steps);
    }
    if (restartBars < 0 || restartBars > 16) {
      throw new IllegalArgumentException(
          "a cycle starts again after 1 to 16 bars or never (0), but was " + restartBars);
    }
  }

  /** The whole bars its steps need. */
  public static int bars(int steps, Meter meter) {
    int bar = meter.ticksPerBar();
    return Math.max(1, (Ticks.ofSteps(steps) + bar - 1) / bar);
  }

  /** Ticks from one pass to the next of a line of so many bars. */
  public int ticks(int bars, Meter meter) {
    return steps == 0 ? bars * meter.ticksPerBar() : Ticks.ofSteps(steps);
  }

  /** Ticks after which it begins again in so many ticks; all of them where it never does. */
  public int restartTicks(int ticks, Meter meter) {
    boolean restarts = steps > 0 && restartBars > 0;
    return restarts ? restartBars * meter.ticksPerBar() : Math.max(1, ticks);
  }
}
