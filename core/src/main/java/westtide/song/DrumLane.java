package westtide.song;

import westtide.rhythm.LaneFeel;
import westtide.rhythm.StepLane;

/**
 * A voice and what it plays.
 *
 * @param voice the drum
 * @param lane its hits; the lane repeats when it is shorter than the pattern
 * @param feel how the lane as a whole is played
 */
public record DrumLane(DrumVoice voice, StepLane lane, LaneFeel feel) {
  /** A lane played plainly. */
  public static DrumLane of(DrumVoice voice, StepLane lane) {
    return new DrumLane(voice, lane, LaneFeel.PLAIN);
  }

  /** The same voice with other hits. */
  public DrumLane withLane(StepLane other) {
    return new DrumLane(voice, other, feel);
  }

  /** The same hits played another way. */
  public DrumLane withFeel(LaneFeel other) {
    return new DrumLane(voice, lane, other);
  }
}
