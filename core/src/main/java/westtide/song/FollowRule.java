package westtide.song;

import java.util.Optional;
import westtide.rhythm.Figure;
import westtide.theory.VoicingRange;

/** A rule by which a part follows the chords (and the kick), kept instead of notes. */
public sealed interface FollowRule {
  /**
   * Whole chords, led smoothly.
   *
   * @param range where bass and hand may stand
   * @param figure the rhythm in which each chord is struck; empty to hold each chord for its length
   */
  record Chords(VoicingRange range, Optional<Figure> figure) implements FollowRule {}

  /**
   * An 808 on the basses of the chords, one note at a time.
   *
   * @param link whether it starts with the kick or keeps a rhythm of its own
   * @param figure its own rhythm, used when independent
   * @param lowest MIDI note from which the octave of its range begins; 28 is E1
   */
  record Sub(KickLink link, Figure figure, int lowest) implements FollowRule {
    /** The same rule with the other school. */
    public Sub withLink(KickLink other) {
      return new Sub(other, figure, lowest);
    }

    /** The same rule in another octave or from another note. */
    public Sub withLowest(int midi) {
      if (midi < 12 || midi > 60) {
        throw new IllegalArgumentException("an 808 range begins at 12 to 60, but was " + midi);
      }
      return new Sub(link, figure, midi);
    }
  }

  /**
   * A bass guitar or synth bass on the basses of the chords.
   *
   * @param figure its rhythm; every fourth strike goes to the fifth when {@code fifths}
   * @param lowest MIDI note from which the octave of its range begins
   * @param pickUp whether the last step before a new chord steps towards its bass
   * @param fifths whether the line visits the fifth of the chord
   */
  record Bass(Figure figure, int lowest, boolean pickUp, boolean fifths) implements FollowRule {}
}
