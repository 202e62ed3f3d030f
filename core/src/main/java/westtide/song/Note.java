package westtide.song;

import westtide.rhythm.Velocity;

/**
 * A written note of a pattern, before swing.
 *
 * @param start tick from the start of the pattern, 0 or more
 * @param ticks length, 1 or more
 * @param key MIDI note, 0 to 127
 * @param velocity 1 to 127
 * @param slide ticks over which the note before slides into it, which is held until then; 0 where
 *     it is struck
 */
public record Note(int start, int ticks, int key, int velocity, int slide) {
  /** Checks every range. */
  public Note {
    if (slide < 0) {
      throw new IllegalArgumentException("a slide lasts 0 ticks or more, but was " + slide);
    }
    if (start < 0 || ticks < 1) {
      throw new IllegalArgumentException(
          "a note starts at tick 0 or later and lasts, but was " + start + " for " + ticks);
    }
    if (key < 0 || key > 127) {
      throw new IllegalArgumentException("a MIDI note is 0 to 127, but was " + key);
    }
    Velocity.checked(velocity);
  }

  /** A note that is struck. */
  public Note(int start, int ticks, int key, int velocity) {
    this(start, ticks, key, velocity, 0);
  }

  /** The tick after the last. */
  public int end() {
    return start + ticks;
  }

  /** The note at another place. */
  public Note withStart(int tick) {
    return new Note(tick, ticks, key, velocity, slide);
  }

  /** The note at another length. */
  public Note withTicks(int length) {
    return new Note(start, length, key, velocity, slide);
  }

  /** The note at another height. */
  public Note withKey(int midi) {
    return new Note(start, ticks, midi, velocity, slide);
  }

  /** The note at another velocity. */
  public Note withVelocity(int other) {
    return new Note(start, ticks, key, other, slide);
  }

  /** The note reached by a slide over that many ticks; 0 strikes it. */
  public Note withSlide(int length) {
    return new Note(start, ticks, key, velocity, length);
  }
}
