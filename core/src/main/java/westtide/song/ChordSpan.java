package westtide.song;

import westtide.theory.Chord;

/**
 * A chord and how long it lasts.
 *
 * @param chord the chord
 * @param ticks its length, 1 or more
 */
public record ChordSpan(Chord chord, int ticks) {
  /** Checks the length. */
  public ChordSpan {
    if (ticks < 1) {
      throw new IllegalArgumentException("a chord lasts at least one tick, but was " + ticks);
    }
  }

  /** The same length with another chord. */
  public ChordSpan withChord(Chord other) {
    return new ChordSpan(other, ticks);
  }
}
