package westtide.file.midi;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import westtide.Songs;
import westtide.compose.SongDraft;
import westtide.rhythm.BarLines;
import westtide.rhythm.Tempo;
import westtide.score.Passage;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.SectionScore;
import westtide.song.Song;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.form.SectionEdits;

/** Sections of so many beats: bars of 4/4 are 3840 ticks, beats 960, counted by hand. */
class ShortBarsTest {
  private static final int BAR = 3840;
  private static final int BEAT = 960;
  private static final int TAG = 12 * BAR;
  private static final int GAP = TAG + 6 * BEAT;
  private static final int LAST = GAP + 2 * BEAT;
  private static final Song SONG =
      SongDraft.in(Songs.book().get("trap"))
          .withTempo(Tempo.of(150))
          .withForm("verse 4, hook 8, tag 6 beats, gap 2 beats, hook 8 crash")
          .withSeed(3)
          .song();

  @TempDir private Path folder;

  @Test
  void otherProgramsSeeShortBarsAndMarkersAfterThem() throws Exception {
    Path file = folder.resolve("short.mid");
    MidiFile.write(Score.of(SONG), file);
    for (MidiListing listing : MidiListing.readBy(file)) {
      assertThat(listing.meters())
          .containsExactlyInAnyOrderEntriesOf(Map.of(0, "4/4", TAG + BAR, "2/4", LAST, "4/4"));
      assertThat(listing.markers().keySet()).containsExactly(0, 4 * BAR, TAG, GAP, LAST);
      for (MidiListing.Track track : listing.tracks()) {
        assertThat(track.end()).isEqualTo(LAST + 8 * BAR);
      }
    }
  }

  @Test
  void theScoreIsThatMuchShorterAndNothingBeginsBehindACutBar() {
    Score score = Score.of(SONG);
    assertThat(score.ticks()).isEqualTo(LAST + 8 * BAR);
    assertThat(SONG.millis()).as("88 beats at 150 BPM, 400 ms each").isEqualTo(88 * 400.0);
    for (ScoredPart part : score.parts()) {
      for (Passage passage : part.passages()) {
        int end = SONG.form().startTick(passage.place() + 1, SONG.brief().meter());
        assertThat(passage.end()).isLessThanOrEqualTo(end);
        assertThat(passage.notes()).allMatch(note -> note.start() < end);
      }
    }
    assertThat(SONG.barLines().position(LAST)).hasToString("16.1.1");
  }

  @Test
  void aFileKeepsIt() throws Exception {
    assertThat(Songs.filed(SONG)).isEqualTo(SONG);
    assertThat(SectionScore.of(Score.of(SONG), 2).ticks()).isEqualTo(6 * BEAT);
  }

  @Test
  void aSectionIsHalvedAndDoubledInBeatsAndMadeWholeAgain() {
    SectionEdits tag = new SectionEdits(SONG.form().id(2), SectionEdits.Scope.THIS);
    Song half = tag.halve().apply(SONG);
    assertThat(half.form().sections().get(2).length()).isEqualTo(new BarLines.Stretch(1, 3));
    Song twice = tag.doubleLength().apply(SONG);
    assertThat(twice.form().sections().get(2).length()).isEqualTo(new BarLines.Stretch(3, 0));
    Song whole = FormEdits.resize(SONG.form().id(2), 2).apply(SONG);
    assertThat(whole.ticks()).isEqualTo(SONG.ticks() + 2 * BEAT);
  }
}
