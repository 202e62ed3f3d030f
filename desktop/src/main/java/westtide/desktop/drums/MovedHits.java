package westtide.desktop.drums;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import westtide.desktop.open.NotePlace;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.pattern.Pattern;

/**
 * Hits of a groove that are moved or put in together, each by steps of its own lane.
 *
 * @param groove the groove they stand in
 * @param hits the hits, lane by lane
 */
record MovedHits(Pattern.Drums groove, Map<LaneId, List<Hit>> hits) {
  /**
   * Where they stand after a move.
   *
   * @param groove the groove with them there
   * @param places their places
   */
  record Moved(Pattern.Drums groove, Set<NotePlace> places) {
    int count() {
      return places.size();
    }
  }

  /** The hits moved by steps, earlier below 0; empty when one would leave its lane. */
  Optional<Moved> by(int steps) {
    Pattern.Drums out = groove;
    Set<NotePlace> places = new HashSet<>();
    for (DrumLane lane : groove.lanes()) {
      List<Hit> mine = hits.getOrDefault(lane.id(), List.of());
      StepLane moved = lane.lane();
      for (Hit hit : mine) {
        moved = moved.without(hit.step());
      }
      for (Hit hit : mine) {
        int to = hit.step() + steps;
        if (to < 0 || to >= moved.length()) {
          return Optional.empty();
        }
        moved = moved.with(hit.withStep(to));
        places.add(NotePlace.of(lane.id(), to));
      }
      StepLane done = moved;
      out = out.withLane(lane.id(), old -> done);
    }
    return Optional.of(new Moved(out, places));
  }

  /** The hits put into the groove again by steps later, those that stay inside their lanes. */
  Moved copied(int steps) {
    Pattern.Drums out = groove;
    Set<NotePlace> places = new HashSet<>();
    for (Map.Entry<LaneId, List<Hit>> entry : hits.entrySet()) {
      for (Hit hit : entry.getValue()) {
        int to = hit.step() + steps;
        Optional<DrumLane> lane = out.find(entry.getKey());
        if (lane.isPresent() && to >= 0 && to < lane.get().lane().length()) {
          out = out.withLane(entry.getKey(), old -> old.with(hit.withStep(to)));
          places.add(NotePlace.of(entry.getKey(), to));
        }
      }
    }
    return new Moved(out, places);
  }
}
