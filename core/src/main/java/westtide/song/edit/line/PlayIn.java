package westtide.song.edit.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Hit;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlayedHit;
import westtide.song.drum.PlayedLanes;
import westtide.song.pattern.Pattern;

/**
 * Puts what was played into a groove: lanes that were struck get the hits, the others stay.
 *
 * @param lanes how hits find their steps
 * @param keep whether hits that were there stay where nothing was struck; a lane on another grid is
 *     written anew in any case
 */
public record PlayIn(PlayedLanes lanes, boolean keep) {
  /** The groove with what was played in it. */
  public Pattern.Drums on(Pattern.Drums groove, List<PlayedHit> played) {
    Pattern.Drums out = groove;
    for (DrumLane lane : lanes.of(played, id -> into(groove, id))) {
      out = out.with(keep ? merged(groove, lane) : lane);
    }
    return out;
  }

  private DrumLane into(Pattern.Drums groove, LaneId id) {
    StepGrid grid = lanes.quantise().grid();
    return groove.find(id).orElse(DrumLane.of(id, StepLane.empty(lanes.steps()))).withGrid(grid);
  }

  private DrumLane merged(Pattern.Drums groove, DrumLane played) {
    Optional<DrumLane> old = groove.find(played.id()).filter(l -> l.grid() == played.grid());
    if (old.isEmpty()) {
      return played;
    }
    StepLane out =
        new StepLane(lanes.steps(), new ArrayList<>(old.get().lane().over(lanes.steps())));
    for (Hit hit : played.lane().hits()) {
      out = out.with(hit);
    }
    return old.get().withLane(out);
  }
}
