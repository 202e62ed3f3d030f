package westtide.song.drum;

/**
 * A hit as somebody played it.
 *
 * @param lane the lane it was meant for
 * @param tick where it sounded, in ticks from the start of the groove
 * @param velocity 1 to 127
 * @param semitones how far above or below the tuned drum
 */
public record PlayedHit(LaneId lane, long tick, int velocity, int semitones) {
  /** A hit at the drum's own pitch. */
  public PlayedHit(LaneId lane, long tick, int velocity) {
    this(lane, tick, velocity, 0);
  }

  /** The same earlier by ticks. */
  public PlayedHit earlierBy(long ticks) {
    return new PlayedHit(lane, tick - ticks, velocity, semitones);
  }
}
