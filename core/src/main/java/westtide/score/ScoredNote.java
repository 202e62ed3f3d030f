package westtide.score;

/**
 * A note as it sounds.
 *
 * @param start first tick of the song, swing and nudge included
 * @param ticks length, 1 or more
 * @param key MIDI note, 0 to 127
 * @param velocity 1 to 127
 */
public record ScoredNote(int start, int ticks, int key, int velocity) {
  /** The tick after the last. */
  public int end() {
    return start + ticks;
  }

  /** The same note ended earlier. */
  ScoredNote endingAt(int tick) {
    return new ScoredNote(start, tick - start, key, velocity);
  }
}
