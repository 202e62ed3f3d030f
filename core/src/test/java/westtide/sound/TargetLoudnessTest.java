package westtide.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.compose.Arranger;
import westtide.compose.SongDraft;
import westtide.score.Score;
import westtide.song.Song;
import westtide.song.edit.MixEdits;
import westtide.song.mix.Master;
import westtide.sound.loudness.Loudness;

/** A draft of any style leaves as loud as it aims at, whatever gain it came with. */
class TargetLoudnessTest {
  private static final int RATE = 48_000;

  private static Song draft(String style, long seed) {
    return Arranger.arranged(SongDraft.in(Songs.book().get(style)).withSeed(seed));
  }

  private static double whole(Song song) throws IOException {
    Loudness loudness = new Loudness(RATE);
    Mixdown.of(Score.of(song), RATE).mix(loudness::hear, Mixdown.Watch.NOBODY);
    return loudness.integrated();
  }

  @ParameterizedTest
  @CsvSource({"house,3,-14", "drill,20,-14", "cloud,14,-14", "soul,2,-18"})
  void theWholeSongReadsTheTarget(String style, long seed, int target) throws IOException {
    Song draft = draft(style, seed);
    Song aimed = draft.withMaster(draft.master().withTarget(target));
    assertThat(whole(TargetLoudness.reached(aimed))).isCloseTo(target, within(1.0));
  }

  @Test
  void aDraftThatCameTooLoudOrTooSoftEndsAlike() {
    Song draft = draft("boom-bap", 4);
    int usual = TargetLoudness.reached(draft).master().gain();
    for (int off : new int[] {-40, 20}) {
      Song moved = draft.withMaster(draft.master().withGain(draft.master().gain() + off));
      assertThat(TargetLoudness.reached(moved).master().gain()).isCloseTo(usual, within(12));
    }
  }

  @Test
  void aDraftThatAimsAtNothingStays() {
    Song draft = draft("trap", 2).withMaster(Master.PLAIN.withGain(30));
    assertThat(TargetLoudness.reached(draft)).isSameAs(draft);
  }

  @Test
  void aSilentSongStays() {
    Song draft = draft("trap", 2);
    Song silent = MixEdits.allQuieter(1200).apply(draft);
    assertThat(TargetLoudness.reached(silent)).isSameAs(silent);
  }
}
