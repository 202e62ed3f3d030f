package westtide.song.edit;

import java.util.function.UnaryOperator;
import westtide.song.FollowRule;
import westtide.song.KickLink;
import westtide.theory.Pitch;

/** Edits of the rule an 808 follows. */
public final class LowEndEdits {
  private LowEndEdits() {}

  /** Locks the 808 to the kick or lets it keep its own rhythm. */
  public static Edit link(String part, KickLink link) {
    return sub("808 " + link, part, rule -> rule.withLink(link));
  }

  /** Lets the octave of the 808 begin at a MIDI note, 12 to 60. */
  public static Edit lowest(String part, int midi) {
    return sub("Let the 808 begin at " + Pitch.of(midi), part, rule -> rule.withLowest(midi));
  }

  private static Edit sub(String name, String part, UnaryOperator<FollowRule.Sub> change) {
    return Edit.of(
        name, song -> song.withPart(part, p -> p.withRule(FollowRule.Sub.class, change)));
  }
}
