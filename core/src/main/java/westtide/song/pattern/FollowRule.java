package westtide.song.pattern;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import westtide.rhythm.Figure;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.Strum;
import westtide.song.id.PartId;
import westtide.theory.Chord;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingKind;
import westtide.theory.voicing.VoicingRange;

/** A rule by which a part follows the chords, the kick or another part, kept instead of notes. */
public sealed interface FollowRule
    permits FollowRule.Chords,
        FollowRule.Bass808,
        FollowRule.Bass,
        FollowRule.Doubling,
        Arpeggio,
        LowLine,
        BorrowedRhythm {
  /** Does what fits the kind of rule. */
  <R> R accept(Kinds<R> kinds);

  /** The part it listens to, where it listens to one. */
  default Optional<PartId> hears() {
    return Optional.empty();
  }

  /**
   * One answer a kind of rule, so that none is forgotten.
   *
   * @param <R> what is answered
   */
  interface Kinds<R> {
    /** For whole chords. */
    R chords(Chords rule);

    /** For an 808. */
    R sub(Bass808 rule);

    /** For a bass. */
    R bass(Bass rule);

    /** For a part that plays what another plays. */
    R doubling(Doubling rule);

    /** For an arpeggio. */
    R arpeggio(Arpeggio rule);

    /** For a low line by its grammar. */
    R lowLine(LowLine rule);

    /** For a line in the rhythm of another part. */
    R borrowed(BorrowedRhythm rule);
  }

  /**
   * Whole chords, led smoothly.
   *
   * @param range where bass and hand may stand
   * @param figure the rhythm in which each chord is struck, where neither the part nor the
   *     progression has one of its own; empty to hold each chord for its length
   * @param kind how the notes are spread, where a chord has no kind of its own
   * @param layer what of the chords is played, and where
   * @param vary how much velocities differ
   * @param own what this part does in its own way, whatever the progression says
   */
  record Chords(
      VoicingRange range,
      Optional<Figure> figure,
      VoicingKind kind,
      Layer layer,
      Vary vary,
      Own own)
      implements FollowRule {
    /** Close chords of all their notes, every strike alike. */
    public static Chords of(VoicingRange range, Optional<Figure> figure) {
      return new Chords(range, figure, VoicingKind.CLOSE, Layer.WHOLE, Vary.NONE, Own.NOTHING);
    }

    /** The same rule with another spread; voicings kept for the old one are let go. */
    public Chords withKind(VoicingKind other) {
      return new Chords(range, figure, other, layer, vary, own.withKept(List.of()));
    }

    /** The same rule at another place; voicings kept for the old one are let go. */
    public Chords withRange(VoicingRange other) {
      return new Chords(other, figure, kind, layer, vary, own.withKept(List.of()));
    }

    /** The same rule playing another share of the chords. */
    public Chords withLayer(Layer other) {
      return new Chords(range, figure, kind, other, vary, own);
    }

    /** The same rule with other velocities. */
    public Chords withVary(Vary other) {
      return new Chords(range, figure, kind, layer, other, own);
    }

    /** The same rule with other ways of its own. */
    public Chords withOwn(Own other) {
      return new Chords(range, figure, kind, layer, vary, other);
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.chords(this);
    }
  }

  /**
   * What a chord part does in its own way, so that a held pad, a strummed guitar and an off-beat
   * pluck stand over one progression.
   *
   * @param rhythm its rhythm; empty plays the progression's, or the rule's figure
   * @param strum how its chords enter; {@link Strum#BLOCK} at once, empty as each chord says
   * @param progression the name of the progression it plays; empty for the section's
   * @param kept voicings that stay as they were when the mode changed
   */
  record Own(
      Optional<ChordRhythm> rhythm,
      Optional<Strum> strum,
      Optional<String> progression,
      List<Kept> kept) {
    /** Everything as the progression says. */
    public static final Own NOTHING =
        new Own(Optional.empty(), Optional.empty(), Optional.empty(), List.of());

    /** Copies the voicings. */
    public Own {
      kept = List.copyOf(kept);
    }

    /** The same in another rhythm. */
    public Own withRhythm(Optional<ChordRhythm> other) {
      return new Own(other, strum, progression, kept);
    }

    /** The same strummed otherwise. */
    public Own withStrum(Optional<Strum> other) {
      return new Own(rhythm, other, progression, kept);
    }

    /** The same over another progression. */
    public Own withProgression(Optional<String> other) {
      return new Own(rhythm, strum, other, kept);
    }

    /** The same with other voicings kept. */
    public Own withKept(List<Kept> other) {
      return new Own(rhythm, strum, progression, other);
    }
  }

  /**
   * A voicing that stays though voice leading might choose another.
   *
   * @param progression the name of the progression the chord stands in
   * @param chord the chord
   * @param voicing its notes
   */
  record Kept(String progression, Chord chord, Voicing voicing) {}

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
      checkOctaves(octaves);
      without = ordered(without);
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
   * @param lowest MIDI note from which the octave of its range begins, 12 to 60; 28 is E1
   */
  record Bass808(KickLink link, Figure figure, int lowest) implements FollowRule {
    /** Checks the range. */
    public Bass808 {
      if (lowest < 12 || lowest > 60) {
        throw new IllegalArgumentException("an 808 range begins at 12 to 60, but was " + lowest);
      }
    }

    /** The same rule with the other school. */
    public Bass808 withLink(KickLink other) {
      return new Bass808(other, figure, lowest);
    }

    /** The same rule in another octave or from another note. */
    public Bass808 withLowest(int midi) {
      return new Bass808(link, figure, midi);
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.sub(this);
    }
  }

  /**
   * A bass guitar or synth bass on the basses of the chords.
   *
   * @param figure its rhythm; every fourth strike goes to the fifth when {@code fifths}
   * @param lowest MIDI note from which the octave of its range begins, 12 to 72
   * @param pickUp whether the last step before a new chord steps towards its bass
   * @param fifths whether the line visits the fifth of the chord
   */
  record Bass(Figure figure, int lowest, boolean pickUp, boolean fifths) implements FollowRule {
    /** Checks the range. */
    public Bass {
      if (lowest < 12 || lowest > 72) {
        throw new IllegalArgumentException("a bass range begins at 12 to 72, but was " + lowest);
      }
    }

    /** The same rule in another octave or from another note. */
    public Bass withLowest(int midi) {
      return new Bass(figure, midi, pickUp, fifths);
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.bass(this);
    }
  }

  /**
   * Exactly what another pitched part plays, on this part's instrument: it stays in step with
   * whatever happens to its model.
   *
   * @param model the part that is doubled
   * @param octaves octaves above (positive) or below, −3 to 3
   * @param velocity added to the velocities, −100 to 100
   * @param without members of the chord that are left out; of a line, notes that are such a member
   */
  record Doubling(PartId model, int octaves, int velocity, Set<ChordMember> without)
      implements FollowRule {
    /** Checks the ranges. */
    public Doubling {
      checkOctaves(octaves);
      if (Math.abs(velocity) > 100) {
        throw new IllegalArgumentException(
            "a doubled part is -100 to 100 louder, but was " + velocity);
      }
      without = ordered(without);
    }

    /** The same notes at the same height. */
    public static Doubling of(PartId model) {
      return new Doubling(model, 0, 0, Set.of());
    }

    /** The rule by which a part that doubles a chord part would play the same by itself. */
    public Chords of(Chords played) {
      Set<ChordMember> out = EnumSet.noneOf(ChordMember.class);
      out.addAll(played.layer().without());
      out.addAll(without);
      int away = Math.max(-3, Math.min(3, played.layer().octaves() + octaves));
      return played.withLayer(new Layer(away, out));
    }

    /** The same rule octaves away. */
    public Doubling withOctaves(int other) {
      return new Doubling(model, other, velocity, without);
    }

    /** The same rule louder or softer. */
    public Doubling withVelocity(int other) {
      return new Doubling(model, octaves, other, without);
    }

    /** The same rule with other members left out. */
    public Doubling withWithout(Set<ChordMember> other) {
      return new Doubling(model, octaves, velocity, other);
    }

    @Override
    public Optional<PartId> hears() {
      return Optional.of(model);
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.doubling(this);
    }
  }

  private static void checkOctaves(int octaves) {
    if (octaves < -3 || octaves > 3) {
      throw new IllegalArgumentException("a part is -3 to 3 octaves away, but was " + octaves);
    }
  }

  private static Set<ChordMember> ordered(Set<ChordMember> members) {
    Set<ChordMember> out = EnumSet.noneOf(ChordMember.class);
    out.addAll(members);
    return Collections.unmodifiableSet(out);
  }
}
