package westtide.desktop.drums;

import java.util.ArrayList;
import java.util.List;
import westtide.rhythm.StepGrid;
import westtide.song.drum.DrumLane;

/** A lane in two or three words. */
final class LaneSummary {
  private LaneSummary() {}

  /** In what a lane is not the usual one; otherwise how many hits it has. */
  static String facts(DrumLane lane, GrooveScene scene) {
    List<String> out = new ArrayList<>();
    scene
        .part()
        .rhythmOf(lane.id(), scene.pattern().name())
        .flatMap(scene.song()::part)
        .ifPresent(part -> out.add("as " + part.name()));
    if (scene.ticks() % lane.ticks() != 0) {
      out.add(lane.lane().length() + " steps");
    }
    if (lane.grid() != StepGrid.SIXTEENTHS) {
      out.add(lane.grid().triplet() ? "triplets" : "32nds");
    }
    lane.accents().ifPresent(accents -> out.add("accents " + accents.length()));
    int late = lane.feel().nudge();
    if (late != 0) {
      out.add((late > 0 ? "late " : "early ") + Math.abs(late));
    }
    int cents = scene.part().sound(lane.id()).cents();
    if (cents != 0) {
      out.add((cents > 0 ? "up " : "down ") + Math.abs(cents) + " ct");
    }
    if (scene.part().sound(lane.id()).reversed()) {
      out.add("reversed");
    }
    return out.isEmpty() ? hits(lane.lane().hits().size()) : String.join(" · ", out);
  }

  private static String hits(int count) {
    return count == 0 ? "no hits" : count == 1 ? "1 hit" : count + " hits";
  }
}
