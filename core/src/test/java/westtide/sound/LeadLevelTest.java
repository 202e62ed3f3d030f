package westtide.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.compose.Arranger;
import westtide.compose.SongDraft;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.mix.Mix;

/** The lead of a draft stands 3 to 6 LU over its chords, whatever level it came with. */
class LeadLevelTest {
  private static Song draft(String style, long seed) {
    return Arranger.arranged(SongDraft.in(Songs.book().get(style)).withSeed(seed));
  }

  private static OptionalDouble over(Song song) {
    return LeadOverChords.of(Score.of(song), lead(song).id());
  }

  private static Part lead(Song song) {
    return song.parts(Role.LINE).get(0);
  }

  private static Song at(Song song, int level) {
    return song.withPart(lead(song).id(), part -> part.withMix(part.mix().withLevel(level)));
  }

  @ParameterizedTest
  @CsvSource({"bounce,3", "drill,1", "techno,4"})
  void aLeadTooSoftOrTooLoudIsMovedToWhereLeadsStand(String style, long seed) {
    Song draft = draft(style, seed);
    assertThat(Math.abs(over(draft).orElseThrow() - 4.5)).isGreaterThan(1.2);
    assertThat(over(LeadLevel.reached(draft)).orElseThrow()).isBetween(3.4, 5.6);
  }

  @Test
  void aLeadThatStandsWellStays() {
    Song draft = draft("cloud", 2);
    assertThat(LeadLevel.reached(draft)).isSameAs(draft);
  }

  /** Only the lead is moved, by what was missing. */
  @Test
  void whatIsMissingIsAddedToTheLeadAlone() {
    Song draft = draft("cloud", 2);
    double usual = over(draft).orElseThrow();
    Song soft = at(draft, lead(draft).mix().level() - 60);
    assertThat(over(soft).orElseThrow()).isCloseTo(usual - 6, within(0.1));
    Song moved = LeadLevel.reached(soft);
    assertThat(at(moved, lead(soft).mix().level())).isEqualTo(soft);
    assertThat(over(moved).orElseThrow()).isCloseTo(3.5, within(0.1));
  }

  @Test
  void aSilentLeadStays() {
    Song silent = at(draft("cloud", 2), Mix.SILENT);
    assertThat(LeadLevel.reached(silent)).isSameAs(silent);
  }
}
