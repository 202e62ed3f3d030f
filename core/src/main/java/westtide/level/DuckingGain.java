package westtide.level;

import java.util.Arrays;
import westtide.rhythm.Ticks;
import westtide.song.mix.Duck;
import westtide.song.mix.Gate;
import westtide.song.mix.Mix;
import westtide.sound.Triggers;

/** How a part steps back for the kick, the beat or another lane, and how its gate closes. */
final class DuckingGain {
  private final Duck duck;
  private final Gate gate;
  private final int[] triggers;
  private final double millisPerTick;

  DuckingGain(Mix mix, Triggers triggers, double secondsPerTick) {
    this.duck = mix.duck();
    this.gate = mix.gate();
    this.triggers = triggers.of(duck);
    this.millisPerTick = 1000 * secondsPerTick;
  }

  /** Whether it ever does. */
  boolean any() {
    return duck.trigger() != Duck.Trigger.NONE || gate.closes();
  }

  /** The share of its power that is left at a tick, 0 to 1. */
  double open(double tick) {
    double gated = gate.gain(tick);
    double after = (tick - last(tick)) * millisPerTick;
    return gated * gated * Math.pow(10, duck.gain(after) / 10);
  }

  private double last(double tick) {
    if (duck.trigger() == Duck.Trigger.QUARTERS) {
      return Math.floor(tick / Ticks.PER_QUARTER) * Ticks.PER_QUARTER;
    }
    int found = Arrays.binarySearch(triggers, (int) Math.floor(tick));
    int last = found >= 0 ? found : -found - 2;
    return last < 0 ? Double.NEGATIVE_INFINITY : triggers[last];
  }
}
