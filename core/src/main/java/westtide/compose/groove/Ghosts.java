package westtide.compose.groove;

import java.util.List;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.rhythm.Velocity;
import westtide.song.drum.DrumVoice;

/** A ghost of the snare or rim comes in on a place where the style has ghosts, or one goes. */
final class Ghosts implements LaneMove {
  private static final int CHANCE = 50;

  @Override
  public LaneSketch on(LaneSketch sketch, LaneScene scene) {
    boolean ghostly = scene.voice() == DrumVoice.SNARE || scene.voice() == DrumVoice.RIM;
    if (!ghostly || !scene.wholeBars(sketch.lane()) || !scene.chance(CHANCE)) {
      return sketch;
    }
    List<Hit> there =
        sketch.lane().hits().stream().filter(hit -> soft(hit) && !scene.fixed(hit.step())).toList();
    return there.size() > 1 && scene.chance(CHANCE)
        ? gone(sketch, scene.pick(there))
        : come(sketch, scene);
  }

  private static boolean soft(Hit hit) {
    return hit.velocity() <= Velocity.SOFT;
  }

  private static LaneSketch gone(LaneSketch sketch, Hit ghost) {
    return sketch.with(
        sketch.lane().without(ghost.step()), "no ghost at " + LaneScene.at(ghost.step()));
  }

  private static LaneSketch come(LaneSketch sketch, LaneScene scene) {
    StepLane lane = sketch.lane();
    int from = scene.random().nextInt(lane.length() / scene.bar()) * scene.bar();
    List<Integer> free =
        scene.places(Ghosts::soft).stream()
            .map(place -> from + place)
            .filter(step -> lane.at(step).isEmpty() && !scene.taken().contains(step))
            .toList();
    if (free.isEmpty()) {
      return sketch;
    }
    int step = scene.pick(free);
    return sketch.with(lane.with(Hit.of(step, Velocity.SOFT)), "a ghost at " + LaneScene.at(step));
  }
}
