package westtide.song;

import westtide.rhythm.StepLane;

/**
 * A voice and what it plays.
 *
 * @param voice the drum
 * @param lane its hits; the lane repeats when it is shorter than the pattern
 */
public record DrumLane(DrumVoice voice, StepLane lane) {
  /** The same voice with other hits. */
  public DrumLane withLane(StepLane other) {
    return new DrumLane(voice, other);
  }
}
