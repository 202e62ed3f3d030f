package westtide.song.edit;

import java.util.List;
import java.util.Optional;
import westtide.rhythm.Figure;
import westtide.rhythm.StepLane;
import westtide.song.ChordRules;
import westtide.song.PlayedBars;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.KickLink;
import westtide.song.pattern.Pattern;

/** What a new part of a role plays until something else is decided. */
public final class BlankPattern {
  private static final Figure ONE_A_BAR = new Figure("x---------------");
  private static final int LOWEST_808 = 28;
  private static final int LOWEST_BASS = 28;
  private static final int MOST_BARS = 16;

  private BlankPattern() {}

  /** An empty pattern for a role. */
  public static Pattern of(Song song, Role role) {
    return switch (role) {
      case CHORDS ->
          new Pattern.Following(
              new PlayedBars(song)
                  .rule(Role.CHORDS, FollowRule.Chords.class)
                  .map(rule -> FollowRule.Chords.of(rule.range(), Optional.empty()))
                  .orElse(ChordRules.usual()));
      case LINE, FOUND -> new Pattern.Written(bars(song), List.of());
      case MARKS -> new Pattern.Written(1, List.of());
      case DRUMS ->
          new Pattern.Drums(
              1,
              List.of(
                  DrumLane.of(DrumVoice.KICK, StepLane.empty(song.brief().meter().stepsPerBar()))));
      case SUB ->
          new Pattern.Following(new FollowRule.Bass808(KickLink.LOCKED, ONE_A_BAR, LOWEST_808));
      case BASS -> new Pattern.Following(new FollowRule.Bass(ONE_A_BAR, LOWEST_BASS, false, false));
    };
  }

  private static int bars(Song song) {
    int bars = new PlayedBars(song).progression().bars(song.brief().meter());
    return Math.min(MOST_BARS, bars);
  }
}
