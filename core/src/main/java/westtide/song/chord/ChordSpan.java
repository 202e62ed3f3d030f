package westtide.song.chord;

import java.util.Optional;
import java.util.function.UnaryOperator;
import westtide.theory.Chord;
import westtide.theory.voicing.VoicingWish;

/**
 * A chord, how long it lasts and how it is played.
 *
 * @param chord the chord
 * @param ticks its length, 1 or more
 * @param articulation how it is played
 */
public record ChordSpan(Chord chord, int ticks, ChordArticulation articulation) {
  /** Checks the length. */
  public ChordSpan {
    if (ticks < 1) {
      throw new IllegalArgumentException("a chord lasts at least one tick, but was " + ticks);
    }
  }

  /** A chord played plainly. */
  public static ChordSpan of(Chord chord, int ticks) {
    return new ChordSpan(chord, ticks, ChordArticulation.PLAIN);
  }

  /** The same length with another chord; notes chosen for the old one are let go. */
  public ChordSpan withChord(Chord other) {
    return new ChordSpan(other, ticks, articulation.withRest(false).withOwn(Optional.empty()));
  }

  /** The same chord at another length. */
  public ChordSpan withTicks(int other) {
    return new ChordSpan(chord, other, articulation);
  }

  /** The same chord played another way. */
  public ChordSpan withArticulation(UnaryOperator<ChordArticulation> change) {
    return new ChordSpan(chord, ticks, change.apply(articulation));
  }

  /** What the chord asks of voice leading. */
  public VoicingWish wish() {
    return new VoicingWish(
        chord, articulation.kind(), articulation.inversion(), articulation.own());
  }
}
