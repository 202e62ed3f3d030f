package westtide.drafts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.compose.Arranger;
import westtide.compose.SongDraft;
import westtide.review.Soundings;
import westtide.review.finding.Finding;
import westtide.review.finding.Severity;
import westtide.sampling.Sampled;
import westtide.sampling.Samples;
import westtide.score.Score;
import westtide.song.Song;
import westtide.style.Style;

/**
 * What is found in drafts that nobody touched: a warning there is a fault of the draft or of the
 * finding. Notes, which ask whether something is meant, stay few.
 */
class UntouchedDraftsTest {
  private static final int SEEDS = 10;

  /** Notes of a draft, on the mean of one style. */
  private static final double FEW = 2;

  @Test
  @Sampled
  void nothingIsWrongWithThem() {
    for (Style style : Samples.few(3, Songs.book().styles())) {
      List<String> notes = new ArrayList<>();
      for (long seed = 1; seed <= SEEDS; seed++) {
        Song song = Arranger.arranged(SongDraft.in(style).withSeed(seed));
        Soundings found = Soundings.of(Score.of(song), style);
        assertThat(found.findings(Severity.WARNING))
            .as(style.id() + ", seed " + seed)
            .extracting(finding -> finding.title() + ", " + finding.where())
            .isEmpty();
        found.findings(Severity.NOTE).stream().map(Finding::title).forEach(notes::add);
      }
      assertThat(notes.size() / (double) SEEDS)
          .as(style.id() + ": " + notes.stream().collect(Collectors.joining("; ")))
          .isLessThanOrEqualTo(FEW);
    }
  }
}
