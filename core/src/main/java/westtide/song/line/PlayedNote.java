package westtide.song.line;

import westtide.rhythm.Velocity;

/**
 * A note as it was played, before it is put on any grid.
 *
 * @param key MIDI note, 0 to 127
 * @param tick sounding tick from the start of the pattern; a little before it where it was early
 * @param ticks how long it was held, 1 or more
 * @param velocity as it was played, 1 to 127
 */
public record PlayedNote(int key, long tick, int ticks, int velocity) {
  /** Checks the ranges. */
  public PlayedNote {
    if (key < 0 || key > 127) {
      throw new IllegalArgumentException("a MIDI note is 0 to 127, but was " + key);
    }
    if (ticks < 1) {
      throw new IllegalArgumentException("a played note lasts 1 tick or more, but was " + ticks);
    }
    Velocity.checked(velocity);
  }
}
