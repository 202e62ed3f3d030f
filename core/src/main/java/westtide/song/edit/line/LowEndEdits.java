package westtide.song.edit.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.id.PartId;
import westtide.song.line.ChordDegree;
import westtide.song.line.ChordNote;
import westtide.song.line.Note;
import westtide.song.mix.Duck;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.theory.Pitch;

/** Edits of the rule an 808 follows. */
public final class LowEndEdits {
  private LowEndEdits() {}

  /** Locks the 808 to the kick or lets it keep its own rhythm. */
  public static Edit link(PartId part, KickLink link) {
    return Edit.named(
        song -> "Set the rhythm of " + name(song, part) + ": " + link,
        song ->
            song.withPart(
                part,
                p ->
                    p.withRule(FollowRule.Bass808.class, r -> r.withLink(link))
                        .withRule(LowLine.class, r -> linked(r, link))));
  }

  private static LowLine linked(LowLine rule, KickLink link) {
    boolean locked = link == KickLink.LOCKED;
    if (locked == (rule.rhythm() == LowLine.Rhythm.KICK)) {
      return rule;
    }
    return rule.withRhythm(locked ? LowLine.Rhythm.KICK : LowLine.Rhythm.DRAWN);
  }

  /** How the rule of a low part is linked to the kick; empty where it is no such rule. */
  public static Optional<KickLink> link(FollowRule rule) {
    if (rule instanceof FollowRule.Bass808 sub) {
      return Optional.of(sub.link());
    }
    return rule instanceof LowLine line
        ? Optional.of(line.rhythm() == LowLine.Rhythm.KICK ? KickLink.LOCKED : KickLink.INDEPENDENT)
        : Optional.empty();
  }

  /** Lets the octave of an 808 or bass begin at a MIDI note, 12 to 60. */
  public static Edit lowest(PartId part, int midi) {
    return Edit.named(
        song -> "Set the lowest note of " + name(song, part) + " to " + Pitch.of(midi),
        song ->
            song.withPart(
                part,
                p ->
                    p.withPatterns(
                        p.patterns().stream().map(named -> begun(named, midi)).toList())));
  }

  /** A pattern whose octave begins at a note, if it has one. */
  private static NamedPattern begun(NamedPattern named, int midi) {
    if (named.pattern() instanceof Pattern.Attached line) {
      return named.withPattern(line.withLowest(midi));
    }
    return named
        .withRule(FollowRule.Bass808.class, r -> r.withLowest(midi))
        .withRule(FollowRule.Bass.class, r -> r.withLowest(midi))
        .withRule(LowLine.class, r -> r.withLowest(midi));
  }

  /**
   * Puts a written note on a bass: one that is attached on that of its chord, another on the
   * nearest note of that pitch class.
   *
   * @param index the place of the note in its pattern
   * @param pitchClass the pitch class of the bass
   */
  public static Edit bass(PartId part, String pattern, int index, int pitchClass) {
    return Edit.named(
        song -> "Begin the chord on its bass, " + name(song, part),
        song -> song.withPart(part, p -> p.with(onBass(p.pattern(pattern), index, pitchClass))));
  }

  private static NamedPattern onBass(NamedPattern named, int index, int pitchClass) {
    if (named.pattern() instanceof Pattern.Attached line && index < line.notes().size()) {
      List<ChordNote> notes = new ArrayList<>(line.notes());
      ChordNote old = notes.get(index);
      notes.set(
          index,
          new ChordNote(
              old.start(), old.ticks(), ChordDegree.ROOT, 0, old.velocity(), old.slide()));
      return named.withPattern(line.withNotes(notes));
    }
    if (named.pattern() instanceof Pattern.Written line && index < line.notes().size()) {
      List<Note> notes = new ArrayList<>(line.notes());
      Note old = notes.get(index);
      int up = Math.floorMod(pitchClass - old.key(), 12);
      int midi = old.key() + (up > 6 ? up - 12 : up);
      notes.set(index, old.withKey(Math.max(0, Math.min(127, midi))));
      return named.withPattern(line.withNotes(notes));
    }
    return named;
  }

  /** Leaves a written note out, by its place in its pattern. */
  public static Edit without(PartId part, String pattern, int index) {
    return Edit.named(
        song -> "Leave a pick-up out, " + name(song, part),
        song -> song.withPart(part, p -> p.with(dropped(p.pattern(pattern), index))));
  }

  private static NamedPattern dropped(NamedPattern named, int index) {
    if (named.pattern() instanceof Pattern.Attached line && index < line.notes().size()) {
      List<ChordNote> notes = new ArrayList<>(line.notes());
      notes.remove(index);
      return named.withPattern(line.withNotes(notes));
    }
    if (named.pattern() instanceof Pattern.Written line && index < line.notes().size()) {
      List<Note> notes = new ArrayList<>(line.notes());
      notes.remove(index);
      return named.withPattern(line.withNotes(notes));
    }
    return named;
  }

  /** Lets a low part step back under every kick, as far and as long as it is set to. */
  public static Edit duck(PartId part) {
    return Edit.named(
        song -> "Duck " + name(song, part) + " under the kick",
        song ->
            song.withPart(
                part,
                p -> p.withMix(p.mix().withDuck(p.mix().duck().withTrigger(Duck.Trigger.KICK)))));
  }

  /** Lets a low line that a rule plays answer the kick instead of meeting it. */
  public static Edit offTheKick(PartId part, String pattern) {
    return Edit.named(
        song -> "Move " + name(song, part) + " off the kick",
        song ->
            song.withPart(
                part,
                p -> {
                  NamedPattern named = p.pattern(pattern);
                  return named
                      .rule(FollowRule.Bass808.class)
                      .map(LowLine::from)
                      .or(() -> named.rule(FollowRule.Bass.class).map(LowLine::from))
                      .or(() -> named.rule(LowLine.class))
                      .map(rule -> rule.withRhythm(LowLine.Rhythm.ANSWER))
                      .map(rule -> p.with(named.withPattern(new Pattern.Following(rule))))
                      .orElse(p);
                }));
  }

  /** Lets a grammar take the place of what a pattern plays. */
  public static Edit grammar(PartId part, String pattern, LowLine rule) {
    return Edit.named(
        song -> "Grammar in " + pattern + ", " + name(song, part),
        song ->
            song.withPart(
                part, p -> p.with(new NamedPattern(pattern, new Pattern.Following(rule)))));
  }

  /** Changes the grammar of a pattern; one that has none stays. */
  public static Edit grammar(
      PartId part, String pattern, String what, UnaryOperator<LowLine> change) {
    return Edit.named(
        song -> what + " of " + name(song, part),
        song ->
            song.withPart(part, p -> p.with(p.pattern(pattern).withRule(LowLine.class, change))));
  }

  private static String name(Song song, PartId part) {
    return song.part(part).map(Part::name).orElse("a part");
  }
}
