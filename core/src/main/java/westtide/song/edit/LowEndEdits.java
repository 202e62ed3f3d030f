package westtide.song.edit;

import westtide.song.FollowRule;
import westtide.song.KickLink;
import westtide.song.NamedPattern;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Song;
import westtide.song.id.PartId;
import westtide.theory.Pitch;

/** Edits of the rule an 808 follows. */
public final class LowEndEdits {
  private LowEndEdits() {}

  /** Locks the 808 to the kick or lets it keep its own rhythm. */
  public static Edit link(PartId part, KickLink link) {
    return Edit.named(
        song -> "Set the rhythm of " + name(song, part) + ": " + link,
        song ->
            song.withPart(part, p -> p.withRule(FollowRule.Bass808.class, r -> r.withLink(link))));
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
        .withRule(FollowRule.Bass.class, r -> r.withLowest(midi));
  }

  private static String name(Song song, PartId part) {
    return song.part(part).map(Part::name).orElse("a part");
  }
}
