package westtide.review.heard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.score.Score;
import westtide.song.Song;
import westtide.song.edit.MixEdits;
import westtide.song.form.Form;
import westtide.song.form.Section;
import westtide.sound.Listening;
import westtide.sound.Mixdown;

class MatchedVersionTest {
  private static double loudness(Song song) {
    return Listening.of(Score.of(song), Mixdown.Watch.NOBODY).orElseThrow().integrated();
  }

  /** Every part 8 dB down is 8 dB quieter; matched, both are as loud. */
  @Test
  void aQuieterVersionIsBroughtToTheLoudnessOfTheOther() {
    Song draft = Songs.draft("lo-fi", 2);
    Section first = draft.form().sections().get(1).withBars(4);
    Song song = MixEdits.allQuieter(60).apply(draft.withForm(new Form(List.of(first))));
    Song quiet = MixEdits.allQuieter(80).apply(song);
    MatchedVersion matched =
        MatchedVersion.of(quiet, loudness(song), Mixdown.Watch.NOBODY).orElseThrow();
    assertThat(matched.louder()).isCloseTo(-8, within(0.4));
    assertThat(loudness(matched.song())).isCloseTo(loudness(song), within(0.3));
    assertThat(matched.song().parts()).isEqualTo(quiet.parts());
  }

  @Test
  void aCancelledMeasuringGivesNothing() {
    Song song = Songs.draft("trap", 2);
    assertThat(MatchedVersion.of(song, -14, new Mixdown.Watch(() -> true, share -> {}))).isEmpty();
  }
}
