package westtide.score.drum;

import westtide.song.drum.PlacedHit;

/** Takes the strokes of a groove one after another, lane by lane. */
@FunctionalInterface
public interface StrokeSink {
  /**
   * A stroke, before swing.
   *
   * @param lane what the strokes of its lane have in common
   * @param laid the hit it is a stroke of
   * @param start ticks from the start of the section
   * @param ticks how long it lasts
   * @param velocity 1 to 127, as the lane plays it
   * @param semitones how far above or below the tuned drum
   */
  void stroke(StruckLane lane, PlacedHit laid, int start, int ticks, int velocity, int semitones);
}
