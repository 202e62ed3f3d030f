package westtide.song;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import westtide.rhythm.Figure;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.VoicingKind;
import westtide.theory.voicing.VoicingRange;

/** A rule by which a part follows the chords (and the kick), kept instead of notes. */
public sealed interface FollowRule {
  /**
   * Whole chords, led smoothly.
   *
   * @param range where bass and hand may stand
   * @param figure the rhythm in which each chord is struck, where the progression has none of its
   *     own; empty to hold each chord for its length
   * @param kind how the notes are spread, where a chord has no kind of its own
   * @param layer what of the chords is played, and where
   * @param vary how much velocities differ
   */
  record Chords(
      VoicingRange range, Optional<Figure> figure, VoicingKind kind, Layer layer, Vary vary)
      implements FollowRule {
    /** Close chords of all their notes, every strike alike. */
    public static Chords of(VoicingRange range, Optional<Figure> figure) {
      return new Chords(range, figure, VoicingKind.CLOSE, Layer.WHOLE, Vary.NONE);
    }

    /** The same rule with another spread. */
    public Chords withKind(VoicingKind other) {
      return new Chords(range, figure, other, layer, vary);
    }

    /** The same rule playing another share of the chords. */
    public Chords withLayer(Layer other) {
      return new Chords(range, figure, kind, other, vary);
    }

    /** The same rule with other velocities. */
    public Chords withVary(Vary other) {
      return new Chords(range, figure, kind, layer, other);
    }
  }

  /**
   * What a chord part plays of the chords as they are laid out.
   *
   * @param octaves octaves above (positive) or below, −3 to 3
   * @param without what is left out
   */
  record Layer(int octaves, Set<ChordMember> without) {
    /** Everything, where it is laid out. */
    public static final Layer WHOLE = new Layer(0, Set.of());

    /** Keeps the members in order and checks the octaves. */
    public Layer {
      if (octaves < -3 || octaves > 3) {
        throw new IllegalArgumentException("a layer is -3 to 3 octaves away, but was " + octaves);
      }
      Set<ChordMember> ordered = EnumSet.noneOf(ChordMember.class);
      ordered.addAll(without);
      without = Collections.unmodifiableSet(ordered);
    }
  }

  /**
   * How much the velocities of a part differ from strike to strike.
   *
   * @param amount most difference from the written velocity, 0 to 40
   * @param seed where the differences start from
   */
  record Vary(int amount, long seed) {
    /** Every strike alike. */
    public static final Vary NONE = new Vary(0, 1);

    /** Checks the amount. */
    public Vary {
      if (amount < 0 || amount > 40) {
        throw new IllegalArgumentException("velocities vary by 0 to 40, but was " + amount);
      }
    }
  }

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
