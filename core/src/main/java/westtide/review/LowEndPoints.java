package westtide.review;

import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.Stream;
import westtide.song.FollowRule;
import westtide.song.KickLink;
import westtide.song.Pattern;
import westtide.song.Song;

/** Points of the checklist that are read from the rules of 808 and bass. */
final class LowEndPoints {
  static final Map<String, Predicate<Song>> ALL =
      Map.of(
          "808 on the kicks", song -> linked(song, KickLink.LOCKED),
          "808 apart from the kick", song -> linked(song, KickLink.INDEPENDENT),
          "bass steps into the next chord", LowEndPoints::picksUp);

  private LowEndPoints() {}

  private static Stream<FollowRule> rules(Song song) {
    return song.parts().stream()
        .flatMap(part -> part.variants().stream())
        .map(variant -> variant.pattern())
        .filter(Pattern.Following.class::isInstance)
        .map(pattern -> ((Pattern.Following) pattern).rule());
  }

  private static boolean linked(Song song, KickLink link) {
    return rules(song).anyMatch(rule -> rule instanceof FollowRule.Sub sub && sub.link() == link);
  }

  private static boolean picksUp(Song song) {
    return rules(song).anyMatch(rule -> rule instanceof FollowRule.Bass bass && bass.pickUp());
  }
}
