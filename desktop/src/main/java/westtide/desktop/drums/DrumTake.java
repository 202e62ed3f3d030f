package westtide.desktop.drums;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlayedHit;
import westtide.song.edit.line.PlayIn;
import westtide.song.id.PartId;
import westtide.song.pattern.Pattern;

/**
 * What was played into a groove in one go. It belongs to that groove, and can be quantised again:
 * the hits it made the last time give way to the new ones, and whatever else the groove has by then
 * stays.
 */
final class DrumTake {
  private final PartId part;
  private final String groove;
  private final Recorder recorder;
  private Map<LaneId, Set<Hit>> made = Map.of();

  DrumTake(PartId part, String groove, Recorder recorder) {
    this.part = part;
    this.groove = groove;
    this.recorder = recorder;
  }

  /** Whether it was played into a groove. */
  boolean in(PartId id, String name) {
    return part.equals(id) && groove.equals(name);
  }

  /** How many hits were played. */
  int count() {
    return recorder.count();
  }

  Recorder recorder() {
    return recorder;
  }

  /** The groove as it is now with the take in it; latency in nanoseconds. */
  Pattern.Drums on(Pattern.Drums now, PlayIn playIn, long latency) {
    Pattern.Drums without = now.each(this::withoutMade);
    List<PlayedHit> played = recorder.played(latency);
    Pattern.Drums out = playIn.on(without, played);
    made = added(without, out);
    return out;
  }

  private DrumLane withoutMade(DrumLane lane) {
    Set<Hit> mine = made.getOrDefault(lane.id(), Set.of());
    List<Hit> others = lane.lane().hits().stream().filter(hit -> !mine.contains(hit)).toList();
    return others.size() == lane.lane().hits().size()
        ? lane
        : lane.withLane(new StepLane(lane.lane().length(), others));
  }

  private static Map<LaneId, Set<Hit>> added(Pattern.Drums before, Pattern.Drums after) {
    Map<LaneId, Set<Hit>> out = new HashMap<>();
    for (DrumLane lane : after.lanes()) {
      Set<Hit> hits = new HashSet<>(lane.lane().hits());
      before.find(lane.id()).ifPresent(old -> old.lane().hits().forEach(hits::remove));
      out.put(lane.id(), hits);
    }
    return out;
  }
}
