package westtide.desktop.drums;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import westtide.compose.Arranger;
import westtide.compose.SongDraft;
import westtide.desktop.open.SongView;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.id.PartId;
import westtide.style.StyleBook;

/** What the sheet of a groove shows of the song. */
class GrooveSceneTest {
  private static final StyleBook BOOK = StyleBook.shipped();
  private static final PartId DRUMS = PartId.of("drums");
  private static final Song SONG = Arranger.arranged(SongDraft.in(BOOK.get("trap")).withSeed(1));

  private static GrooveScene scene(Song song, int section) {
    Part drums = song.part(DRUMS).orElseThrow();
    String groove =
        drums.pattern(song.form().sections().get(section).cell(DRUMS, 0).pattern()).name();
    SongView view = SongView.of(song, BOOK, Optional.empty());
    return GrooveScene.of(view, drums, groove, section, 0, 0);
  }

  /** Bars of the song head the drawing, and a second section counts its own. */
  @Test
  void placesAreCountedInBarsOfTheSong() {
    int hook = 1;
    int start = SONG.form().startBar(hook);
    assertThat(scene(SONG, hook).position(0)).hasToString((start + 1) + ".1.1");
    assertThat(scene(SONG, hook).position(3840 + 960)).hasToString((start + 2) + ".2.1");
    int last = SONG.form().sections().size() - 2;
    assertThat(scene(SONG, last).position(0).bar()).isEqualTo(SONG.form().startBar(last) + 1);
  }

  /** A lane in a borrowed rhythm shows what it plays, not what was written in it. */
  @Test
  void aLaneShowsTheRhythmItBorrows() {
    GrooveScene before = scene(SONG, 1);
    LaneId lane = before.groove().lanes().get(before.groove().lanes().size() - 1).id();
    Part bass = SONG.parts(westtide.song.Role.SUB).get(0);
    Song song =
        new DrumEdits(DRUMS, before.pattern().name())
            .borrow(lane, Optional.of(bass.id()))
            .apply(SONG);
    GrooveScene scene = scene(song, 1);
    DrumLane shown = scene.groove().find(lane).orElseThrow();
    assertThat(scene.borrows(shown)).isTrue();
    StepLane heard = scene.heard(shown);
    TreeSet<Integer> expected = new TreeSet<>();
    int start = song.form().startTick(1, scene.meter());
    Score.of(song).part(DRUMS).orElseThrow().between(start, start + scene.ticks()).stream()
        .filter(note -> note.struck().filter(s -> s.lane().equals(lane)).isPresent())
        .forEach(note -> expected.add((note.written() - start + 120) / 240));
    assertThat(heard.hits()).extracting(Hit::step).containsExactlyElementsOf(expected);
    assertThat(expected).isNotEmpty();
    assertThat(scene.heard(scene.groove().lanes().get(0)))
        .as("other lanes show their own")
        .isEqualTo(scene.groove().lanes().get(0).lane());
  }
}
