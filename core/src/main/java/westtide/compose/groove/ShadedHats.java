package westtide.compose.groove;

import java.util.List;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.rhythm.Velocity;
import westtide.song.drum.DrumVoice;

/**
 * Hats that are written all alike are a little louder on the beats than between them: hats use the
 * range of velocities (common practice).
 */
final class ShadedHats implements LaneMove {
  private static final int ON_BEAT = 8;
  private static final int OFF_BEAT = -2;
  private static final int BETWEEN = -12;

  @Override
  public LaneSketch on(LaneSketch sketch, LaneScene scene) {
    List<Hit> hits = sketch.lane().hits();
    boolean alike = hits.stream().allMatch(hit -> hit.velocity() == Velocity.HIT);
    boolean both = hits.stream().map(hit -> hit.step() % scene.beat() == 0).distinct().count() == 2;
    boolean plain = scene.voice() == DrumVoice.CLOSED_HAT && scene.habit().accents().isEmpty();
    if (!plain || !alike || !both || !scene.wholeBars(sketch.lane())) {
      return sketch;
    }
    StepLane shaded =
        new StepLane(
            sketch.lane().length(),
            hits.stream().map(hit -> hit.withVelocity(velocity(hit, scene.beat()))).toList());
    return sketch.with(shaded, "louder on the beats than between them");
  }

  private static int velocity(Hit hit, int beat) {
    int within = hit.step() % beat;
    return Velocity.HIT + (within == 0 ? ON_BEAT : within == beat / 2 ? OFF_BEAT : BETWEEN);
  }
}
