package westtide.song.pattern;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;

/**
 * Ties a groove to the one it grew from: the parent laid out over its bars, and the changes that
 * lead from there to it.
 *
 * @param base the parent over the bars of the child
 */
record GrooveLink(Pattern.Drums base) {
  /** The parent repeated or cut to a number of bars. */
  static GrooveLink of(Pattern.Drums parent, int bars, Meter meter) {
    int whole = parent.bars() * meter.ticksPerBar();
    int wanted = bars * meter.ticksPerBar();
    List<DrumLane> lanes = new ArrayList<>();
    for (DrumLane lane : parent.lanes()) {
      boolean fits = whole % lane.ticks() == 0 && wanted % lane.grid().ticks() == 0;
      int steps = wanted / lane.grid().ticks();
      lanes.add(
          fits && steps <= StepLane.LONGEST
              ? lane.withLane(LaneCopies.over(lane.lane(), steps))
              : lane);
    }
    return new GrooveLink(new Pattern.Drums(bars, parent.restart(), lanes));
  }

  /** The groove that the changes lead to. */
  Pattern.Drums with(List<GrooveChange> changes) {
    Pattern.Drums out = base;
    for (GrooveChange change : changes) {
      out = with(out, change);
    }
    return out;
  }

  private static Pattern.Drums with(Pattern.Drums groove, GrooveChange change) {
    return change.accept(
        new GrooveChange.Kinds<>() {
          @Override
          public Pattern.Drums step(GrooveChange.OnStep step) {
            return groove.withLane(step.lane(), lane -> changed(lane, step));
          }

          @Override
          public Pattern.Drums lane(GrooveChange.WholeLane whole) {
            return groove.with(whole.lane());
          }

          @Override
          public Pattern.Drums without(GrooveChange.Without without) {
            return groove.without(without.lane());
          }

          @Override
          public Pattern.Drums restarting(GrooveChange.Restarting restarting) {
            return groove.withRestart(restarting.restart());
          }
        });
  }

  private static StepLane changed(StepLane lane, GrooveChange.OnStep change) {
    if (change.step() >= lane.length()) {
      return lane;
    }
    return change.hit().map(lane::with).orElseGet(() -> lane.without(change.step()));
  }

  /** The changes that lead to a groove, as few as say it. */
  List<GrooveChange> to(Pattern.Drums groove) {
    List<GrooveChange> out = new ArrayList<>();
    for (DrumLane lane : base.lanes()) {
      if (groove.find(lane.id()).isEmpty()) {
        out.add(new GrooveChange.Without(lane.id()));
      }
    }
    for (DrumLane lane : groove.lanes()) {
      Optional<DrumLane> old = base.find(lane.id());
      if (old.isPresent() && old.get().withLane(lane.lane()).equals(lane)) {
        addSteps(out, lane.id(), old.get().lane(), lane.lane());
      } else {
        out.add(new GrooveChange.WholeLane(lane));
      }
    }
    if (!groove.restart().equals(base.restart())) {
      out.add(new GrooveChange.Restarting(groove.restart()));
    }
    return out;
  }

  private void addSteps(List<GrooveChange> out, LaneId id, StepLane old, StepLane lane) {
    if (old.length() != lane.length()) {
      out.add(new GrooveChange.WholeLane(base.find(id).orElseThrow().withLane(lane)));
      return;
    }
    for (int step = 0; step < lane.length(); step++) {
      Optional<Hit> hit = lane.at(step);
      if (!hit.equals(old.at(step))) {
        out.add(new GrooveChange.OnStep(id, step, hit));
      }
    }
  }
}
