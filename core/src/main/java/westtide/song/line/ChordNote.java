package westtide.song.line;

import westtide.rhythm.Velocity;

/**
 * A written note that is attached to the chord heard below it, so that it follows the chords, the
 * key and the form.
 *
 * @param start tick from the start of the pattern, 0 or more
 * @param ticks length, 1 or more
 * @param degree which note of the chord
 * @param octave octaves above (positive) or below, −4 to 4
 * @param velocity 1 to 127
 * @param slide ticks over which it is reached from the note before; 0 where it is struck
 */
public record ChordNote(
    int start, int ticks, ChordDegree degree, int octave, int velocity, int slide) {
  /** Checks every range. */
  public ChordNote {
    if (start < 0 || ticks < 1 || slide < 0) {
      throw new IllegalArgumentException(
          "a note starts at tick 0 or later and lasts, but was " + start + " for " + ticks);
    }
    if (Math.abs(octave) > 4) {
      throw new IllegalArgumentException("a note is up to 4 octaves away, but was " + octave);
    }
    Velocity.checked(velocity);
  }

  /** The note at another place. */
  public ChordNote withStart(int tick) {
    return new ChordNote(tick, ticks, degree, octave, velocity, slide);
  }

  /** The note louder (positive) or softer, held inside 1 to 127. */
  public ChordNote louder(int by) {
    int held = Velocity.held((long) velocity + by);
    return new ChordNote(start, ticks, degree, octave, held, slide);
  }
}
