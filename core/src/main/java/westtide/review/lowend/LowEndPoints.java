package westtide.review.lowend;

import java.util.Map;
import java.util.function.Predicate;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.line.LowEndEdits;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.song.pattern.LowLine;

/** Points of the checklist that are read from the rules of 808 and bass. */
public final class LowEndPoints {
  /** The points of the checklist about the low end, and when they are reached. */
  public static final Map<String, Predicate<Song>> ALL =
      Map.of(
          "808 on the kicks", song -> linked(song, KickLink.LOCKED),
          "808 apart from the kick", song -> linked(song, KickLink.INDEPENDENT),
          "bass steps into the next chord", LowEndPoints::picksUp);

  private LowEndPoints() {}

  private static boolean linked(Song song, KickLink link) {
    return song.parts(Role.SUB).stream()
        .flatMap(part -> part.rules(FollowRule.class).stream())
        .flatMap(rule -> LowEndEdits.link(rule).stream())
        .anyMatch(link::equals);
  }

  private static boolean picksUp(Song song) {
    return song.rules(FollowRule.Bass.class).stream().anyMatch(FollowRule.Bass::pickUp)
        || song.rules(LowLine.class).stream()
            .anyMatch(rule -> rule.pickUp() != LowLine.PickUp.NONE);
  }
}
