package westtide.song.edit.part;

import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.chord.ChordRhythm;
import westtide.song.chord.Strum;
import westtide.song.edit.Edit;
import westtide.song.id.PartId;
import westtide.song.pattern.FollowRule;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.VoicingKind;

/**
 * Edits of a part that follows the chords.
 *
 * @param part the part's id
 */
public record ChordPartEdits(PartId part) {
  /** Spreads its chords another way where a chord has no spread of its own. */
  public Edit spread(VoicingKind kind) {
    return rule(name -> "Spread the chords of " + name + ": " + kind, r -> r.withKind(kind));
  }

  /** Lets velocities differ by an amount 0 to 40 from a seed. */
  public Edit vary(int amount, long seed) {
    int held = Math.max(0, Math.min(40, amount));
    return rule(
        name -> "Vary velocities of " + name + " by " + held,
        r -> r.withVary(new FollowRule.Vary(held, seed)));
  }

  /** As {@link #vary}; a part that doubles another goes on doubling it. */
  public Edit varyIfItFollows(int amount, long seed) {
    return Edit.named(
        song -> "Vary velocities of " + name(song) + " by " + amount,
        song ->
            song.withPart(
                part,
                p ->
                    p.withRule(
                        FollowRule.Chords.class,
                        r -> r.withVary(new FollowRule.Vary(amount, seed)))));
  }

  /** Chooses which octave and which notes of the chords it plays. */
  public Edit layer(int octaves, Set<ChordMember> without) {
    return rule(
        name -> "Change what " + name + " plays",
        r -> r.withLayer(new FollowRule.Layer(octaves, without)));
  }

  /** Leaves members out of one chord of a progression, counted from 0; none plays all again. */
  public Edit without(String progression, int chord, Set<ChordMember> members) {
    return Edit.named(
        song -> "Leave notes of a chord out of " + name(song),
        song ->
            new ChordEdits(progression)
                .articulation("", chord, m -> m.withWithout(part, members))
                .apply(song));
  }

  /** Gives it a rhythm of its own; empty plays the progression's. */
  public Edit rhythm(Optional<ChordRhythm> rhythm) {
    return own("rhythm", own -> own.withRhythm(rhythm));
  }

  /** Strums it in its own way; empty as each chord says. */
  public Edit strum(Optional<Strum> strum) {
    return own("strum", own -> own.withStrum(strum));
  }

  /** Lets it play another progression than the section's; empty the section's. */
  public Edit progression(Optional<String> row) {
    return own("progression", own -> own.withProgression(row));
  }

  private Edit own(String what, UnaryOperator<FollowRule.Own> change) {
    return rule(
        name -> "Change the " + what + " of " + name, r -> r.withOwn(change.apply(r.own())));
  }

  /** Changes its rule; a part that doubles another stands alone first. */
  private Edit rule(UnaryOperator<String> title, UnaryOperator<FollowRule.Chords> change) {
    return Edit.named(
        song -> title.apply(name(song)),
        song ->
            new PartEdits(part)
                .standAlone()
                .apply(song)
                .withPart(part, p -> p.withRule(FollowRule.Chords.class, change)));
  }

  private String name(Song song) {
    return song.part(part).map(Part::name).orElse("a part");
  }
}
