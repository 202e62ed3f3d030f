package westtide.song.line;

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
 * @param every 1 to play in every pass of its pattern; 4 to play in the fourth of every four
 */
public record Note(int start, int ticks, int key, int velocity, int slide, int every) {
  /** The seldomest a note may be played: in one of so many passes. */
  public static final int SELDOMEST = 16;

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
    if (every < 1 || every > SELDOMEST) {
      throw new IllegalArgumentException(
          "a note plays in every pass or every 2nd to 16th, but was " + every);
    }
    Velocity.checked(velocity);
  }

  /** A note that is struck. */
  public Note(int start, int ticks, int key, int velocity) {
    this(start, ticks, key, velocity, 0, 1);
  }

  /** A note of every pass. */
  public Note(int start, int ticks, int key, int velocity, int slide) {
    this(start, ticks, key, velocity, slide, 1);
  }

  /** The tick after the last. */
  public int end() {
    return start + ticks;
  }

  /** The note at another place. */
  public Note withStart(int tick) {
    return new Note(tick, ticks, key, velocity, slide, every);
  }

  /** The note at another length. */
  public Note withTicks(int length) {
    return new Note(start, length, key, velocity, slide, every);
  }

  /** The note at another height. */
  public Note withKey(int midi) {
    return new Note(start, ticks, midi, velocity, slide, every);
  }

  /** The note at another velocity. */
  public Note withVelocity(int other) {
    return new Note(start, ticks, key, other, slide, every);
  }

  /** The note reached by a slide over that many ticks; 0 strikes it. */
  public Note withSlide(int length) {
    return new Note(start, ticks, key, velocity, length, every);
  }

  /** The note in one of so many passes of its pattern, 1 for all. */
  public Note withEvery(int passes) {
    return new Note(start, ticks, key, velocity, slide, passes);
  }

  /** Whether it plays in a pass of its pattern, counted from 0. */
  public boolean playsIn(int pass) {
    return pass % every == every - 1;
  }
}
