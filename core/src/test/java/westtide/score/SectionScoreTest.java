package westtide.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.Songs;
import westtide.compose.Arranger;
import westtide.compose.SongDraft;
import westtide.song.Song;
import westtide.song.form.Form;

/** A section by itself plays what it plays in the song. */
class SectionScoreTest {
  @ParameterizedTest
  @ValueSource(strings = {"drill", "cloud", "house", "amapiano"})
  void everySectionHasTheNotesItHasInTheSong(String style) {
    Song song = Arranger.arranged(SongDraft.in(Songs.book().get(style)).withSeed(14));
    Score score = Score.of(song);
    Form form = song.form();
    for (int place = 0; place < form.sections().size(); place++) {
      int from = form.startTick(place, song.brief().meter());
      Score alone = SectionScore.of(score, place);
      assertThat(from + alone.ticks()).isEqualTo(form.startTick(place + 1, song.brief().meter()));
      for (ScoredPart part : score.parts()) {
        List<String> wanted = heard(part, from, from + alone.ticks(), 0);
        ScoredPart cut = alone.part(part.part().id()).orElseThrow();
        assertThat(heard(cut, 0, alone.ticks(), from)).isEqualTo(wanted);
      }
    }
  }

  private static List<String> heard(ScoredPart part, int from, int to, int later) {
    return part.notes().stream()
        .filter(note -> note.start() >= from && note.start() < to)
        .map(note -> note.start() + later + " " + note.key() + " " + note.velocity())
        .toList();
  }
}
