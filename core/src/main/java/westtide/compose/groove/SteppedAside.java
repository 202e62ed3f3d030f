package westtide.compose.groove;

import java.util.Comparator;
import java.util.Optional;
import java.util.stream.IntStream;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;

/**
 * An answering lane leaves the steps of kick and backbeat: its hit goes to the nearest step that
 * nobody has, rather after than before.
 */
final class SteppedAside implements LaneMove {
  private static final int FAR = 3;

  @Override
  public LaneSketch on(LaneSketch sketch, LaneScene scene) {
    if (!scene.habit().answers() || !scene.wholeBars(sketch.lane())) {
      return sketch;
    }
    LaneSketch out = sketch;
    for (Hit hit : sketch.lane().hits()) {
      if (scene.taken().contains(hit.step())) {
        out = aside(out, hit, scene);
      }
    }
    return out;
  }

  private static LaneSketch aside(LaneSketch sketch, Hit hit, LaneScene scene) {
    StepLane lane = sketch.lane();
    Optional<Integer> free =
        IntStream.rangeClosed(hit.step() - FAR, hit.step() + FAR)
            .boxed()
            .filter(step -> step >= 0 && step < lane.length())
            .filter(step -> step / scene.bar() == hit.step() / scene.bar())
            .filter(step -> !scene.taken().contains(step) && lane.at(step).isEmpty())
            .min(
                Comparator.<Integer>comparingInt(step -> Math.abs(step - hit.step()))
                    .thenComparing(Comparator.reverseOrder()));
    return free.map(
            step ->
                sketch.with(
                    lane.without(hit.step()).with(hit.withStep(step)),
                    LaneScene.at(step)
                        + " answers what kick and backbeat do at "
                        + LaneScene.at(hit.step())))
        .orElse(sketch);
  }
}
