package westtide.compose.groove;

import java.util.List;
import westtide.rhythm.Hit;
import westtide.rhythm.Roll;
import westtide.rhythm.StepLane;

/**
 * Rolls go to other hits of their bar that lead into a beat, with as many strokes as the style
 * rolls, mostly swelling and sometimes fading (common practice).
 */
final class MovedRolls implements LaneMove {
  private static final int CHANCE = 60;
  private static final int FADES = 25;

  @Override
  public LaneSketch on(LaneSketch sketch, LaneScene scene) {
    if (!scene.wholeBars(sketch.lane())) {
      return sketch;
    }
    LaneSketch out = sketch;
    for (Hit hit : sketch.lane().hits()) {
      if (hit.strokes() > 1 && scene.chance(CHANCE)) {
        out = moved(out, hit, scene);
      }
    }
    return out;
  }

  private static LaneSketch moved(LaneSketch sketch, Hit roll, LaneScene scene) {
    int bar = roll.step() / scene.bar();
    List<Hit> leading =
        sketch.lane().hits().stream()
            .filter(hit -> hit.step() / scene.bar() == bar && hit.strokes() == 1)
            .filter(hit -> hit.step() % scene.beat() >= scene.beat() / 2)
            .toList();
    if (leading.isEmpty()) {
      return sketch;
    }
    Hit target = scene.pick(leading);
    int strokes = scene.pick(strokes(scene));
    int ramp = scene.chance(FADES) ? -Roll.USUAL_RAMP : Roll.USUAL_RAMP;
    StepLane lane =
        sketch
            .lane()
            .with(roll.withRoll(Roll.ONE))
            .with(target.withRoll(Roll.of(strokes).withRamp(ramp)));
    return sketch.with(lane, words(target.step(), strokes, ramp, scene));
  }

  /** How many strokes the style's figures roll, each as often as they do. */
  private static List<Integer> strokes(LaneScene scene) {
    return scene.figures().stream()
        .flatMap(figure -> figure.hits().stream())
        .map(Hit::strokes)
        .filter(strokes -> strokes > 1)
        .toList();
  }

  private static String words(int step, int strokes, int ramp, LaneScene scene) {
    int beat = (step / scene.beat() + 1) * scene.beat();
    return strokes
        + " strokes at "
        + LaneScene.at(step)
        + (ramp > 0 ? " swell" : " fade")
        + " into "
        + LaneScene.at(beat);
  }
}
