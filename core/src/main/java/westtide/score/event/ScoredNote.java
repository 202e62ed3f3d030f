package westtide.score.event;

import java.util.Optional;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;

/**
 * A note as it sounds.
 *
 * @param start first tick of the song, swing and nudge included
 * @param ticks length, 1 or more
 * @param key MIDI note, 0 to 127
 * @param velocity 1 to 127
 * @param written the tick of the song it is written on, before swing
 * @param since ticks it has been sounding already when it starts: above 0 where a held note goes on
 *     at another level; 0 where it is struck
 * @param slide ticks over which the note before slides into it; 0 where it is struck
 * @param source the pattern and what of it
 * @param struck which drum it is a stroke of; empty for notes of pitched parts
 * @param instrument the preview instrument it is heard with; empty for the part's own
 */
public record ScoredNote(
    int start,
    int ticks,
    int key,
    int velocity,
    int written,
    int since,
    int slide,
    Source source,
    Optional<Struck> struck,
    String instrument) {
  /**
   * A drum that is struck.
   *
   * @param lane the lane of its part
   * @param semitones how far above (positive) or below the tuned drum
   */
  public record Struck(LaneId lane, int semitones) {}

  /** A note of a pitched part, struck where it is written. */
  public ScoredNote(int start, int ticks, int key, int velocity) {
    this(start, ticks, key, velocity, Optional.empty());
  }

  /** A note struck where it is written. */
  public ScoredNote(int start, int ticks, int key, int velocity, Optional<Struck> struck) {
    this(start, ticks, key, velocity, start, 0, 0, Source.NONE, struck, "");
  }

  /** The tick after the last. */
  public int end() {
    return start + ticks;
  }

  /** Whether it is a stroke of a lane of that drum. */
  public boolean of(DrumVoice voice) {
    return struck.filter(drum -> drum.lane().voice() == voice).isPresent();
  }

  /** The same note ended at another tick. */
  public ScoredNote endingAt(int tick) {
    return new ScoredNote(
        start, tick - start, key, velocity, written, since, slide, source, struck, instrument);
  }

  /** The same stroke on another MIDI note. */
  public ScoredNote withKey(int midi) {
    return new ScoredNote(
        start, ticks, midi, velocity, written, since, slide, source, struck, instrument);
  }

  /** The same note struck with another velocity, 1 to 127. */
  public ScoredNote withVelocity(int other) {
    return new ScoredNote(
        start, ticks, key, other, written, since, slide, source, struck, instrument);
  }

  /** The same note so many ticks earlier. */
  public ScoredNote earlierBy(int less) {
    return new ScoredNote(
        start - less,
        ticks,
        key,
        velocity,
        Math.max(0, written - less),
        since,
        slide,
        source,
        struck,
        instrument);
  }
}
