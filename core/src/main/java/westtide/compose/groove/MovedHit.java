package westtide.compose.groove;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.song.drum.DrumVoice;

/**
 * One hit that is not part of the style itself stands on another of the places the style's figures
 * have, so that two takes seldom agree and neither leaves the style.
 */
final class MovedHit implements LaneMove {
  private static final int CHANCE = 60;
  private static final Set<DrumVoice> FREE =
      EnumSet.of(
          DrumVoice.KICK,
          DrumVoice.SNARE,
          DrumVoice.RIM,
          DrumVoice.OPEN_HAT,
          DrumVoice.PERCUSSION,
          DrumVoice.TOM,
          DrumVoice.COWBELL,
          DrumVoice.WOOD_BLOCK);

  @Override
  public LaneSketch on(LaneSketch sketch, LaneScene scene) {
    if (!FREE.contains(scene.voice()) || !scene.wholeBars(sketch.lane()) || !scene.chance(CHANCE)) {
      return sketch;
    }
    List<Hit> movable =
        sketch.lane().hits().stream().filter(hit -> !scene.fixed(hit.step())).toList();
    if (movable.isEmpty()) {
      return sketch;
    }
    Hit hit = scene.pick(movable);
    StepLane without = sketch.lane().without(hit.step());
    List<Integer> free = free(without, hit, scene);
    if (free.isEmpty()) {
      return sketch;
    }
    int to = scene.pick(free);
    String words =
        "what stood at "
            + LaneScene.at(hit.step())
            + " went to "
            + LaneScene.at(to)
            + ", another of its places";
    return sketch.with(without.with(hit.withStep(to)), words);
  }

  /** The other places in the hit's bar that are empty, with nothing directly beside them. */
  private static List<Integer> free(StepLane lane, Hit hit, LaneScene scene) {
    int from = hit.step() / scene.bar() * scene.bar();
    return scene.places(other -> true).stream()
        .map(place -> from + place)
        .filter(step -> step != hit.step())
        .filter(step -> lane.at(step).isEmpty())
        .filter(step -> step == 0 || lane.at(step - 1).isEmpty())
        .filter(step -> lane.at(step + 1).isEmpty())
        .toList();
  }
}
