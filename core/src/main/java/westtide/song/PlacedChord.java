package westtide.song;

import westtide.theory.Chord;

/**
 * A chord at a place in time.
 *
 * @param start first tick
 * @param ticks length, 1 or more
 * @param chord the chord
 */
public record PlacedChord(int start, int ticks, Chord chord) {
  /** The tick after the last. */
  public int end() {
    return start + ticks;
  }

  /** Whether the chord sounds at a tick. */
  public boolean covers(int tick) {
    return tick >= start && tick < end();
  }
}
