package westtide.compose.groove;

import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.song.drum.DrumLane;

/** The two schools of kick velocity: every kick at full, or louder on the beat than off it. */
public final class KickVelocity {
  private static final int FULL = 120;
  private static final int ON_BEAT = 112;
  private static final int OFF_BEAT = 98;
  private static final int BEAT = 4;

  private KickVelocity() {}

  /** Whether a kick is at full velocity. */
  public static boolean full(Hit hit) {
    return hit.velocity() == FULL;
  }

  /** A lane of kicks at full velocity, or shaped by the beat. */
  public static DrumLane of(DrumLane lane, boolean shaped) {
    StepLane steps = lane.lane();
    return lane.withLane(
        new StepLane(steps.length(), steps.hits().stream().map(hit -> of(hit, shaped)).toList()));
  }

  private static Hit of(Hit hit, boolean shaped) {
    return hit.withVelocity(!shaped ? FULL : hit.step() % BEAT == 0 ? ON_BEAT : OFF_BEAT);
  }
}
