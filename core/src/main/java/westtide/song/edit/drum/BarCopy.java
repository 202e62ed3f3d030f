package westtide.song.edit.drum;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.song.drum.DrumLane;

/**
 * What a lane plays in one bar, written into others.
 *
 * @param bars bars of the groove
 * @param barTicks ticks of a bar
 * @param from the bar that is copied, from 0
 * @param to the bar it is written into; empty for all
 */
record BarCopy(int bars, int barTicks, int from, Optional<Integer> to) {
  DrumLane of(DrumLane lane) {
    int bar = barTicks / lane.grid().ticks();
    int steps = bar * bars;
    if (steps > StepLane.LONGEST) {
      return lane;
    }
    List<Hit> written = lane.lane().over(steps);
    List<Hit> out = new ArrayList<>(written);
    out.removeIf(hit -> target(hit.step() / bar));
    for (int target = 0; target < bars; target++) {
      for (Hit hit : written) {
        if (target(target) && hit.step() / bar == from) {
          out.add(hit.withStep(hit.step() + (target - from) * bar));
        }
      }
    }
    return lane.withLane(new StepLane(steps, out));
  }

  private boolean target(int bar) {
    return bar != from && to.map(wanted -> wanted == bar).orElse(true);
  }
}
