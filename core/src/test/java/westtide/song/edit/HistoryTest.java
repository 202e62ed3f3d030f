package westtide.song.edit;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.rhythm.Tempo;
import westtide.song.Song;
import westtide.song.edit.form.FormEdits;
import westtide.song.id.SectionId;

class HistoryTest {
  private static final Song SONG = Songs.draft("trap", 1);

  @Test
  void anEditAfterAnUndoDropsWhatWasUndone() {
    History history =
        History.saved(SONG)
            .plus(BriefEdits.feel(westtide.rhythm.Feel.FULL))
            .plus(BriefEdits.tempo(Tempo.of(100)))
            .undo()
            .plus(BriefEdits.title("Other"));
    assertThat(history.redoable()).isEmpty();
    assertThat(history.undoable()).contains("Name the song Other");
    assertThat(history.song().brief().tempo()).isEqualTo(SONG.brief().tempo());
  }

  @Test
  void aLongSessionForgetsItsOldestStepsOnly() {
    History history = History.saved(SONG);
    for (int i = 0; i < 1200; i++) {
      history = history.plus(Edit.of("step " + i, BriefEdits.title("T" + i).change()));
    }
    assertThat(history.steps()).hasSize(1000);
    assertThat(history.song().title()).isEqualTo("T1199");
    assertThat(history.changed()).isTrue();
    for (int i = 0; i < 2000; i++) {
      history = history.undo();
    }
    assertThat(history.song().title()).isEqualTo("T200");
    assertThat(history.changed()).as("the saved state is gone").isTrue();
  }

  @Test
  void stepsOfDifferentGesturesDoNotMerge() {
    History history =
        History.saved(SONG)
            .plus(FormEdits.resize(SectionId.of(1), 9), "drag 1")
            .plus(FormEdits.resize(SectionId.of(2), 9), "drag 2")
            .plus(FormEdits.resize(SectionId.of(2), 10), "drag 2");
    assertThat(history.steps()).hasSize(3);
    assertThat(history.undo().song().form().sections().get(1).bars()).isEqualTo(16);
    assertThat(history.undo().song().form().sections().get(0).bars()).isEqualTo(9);
  }

  @Test
  void undoAndRedoStopAtTheEnds() {
    History history = History.saved(SONG);
    assertThat(history.undo()).isSameAs(history);
    assertThat(history.redo()).isSameAs(history);
  }

  @Test
  void theSavedSongIsGoneWithTheBranchItStoodOn() {
    History saved = History.unsaved(SONG).plus(BriefEdits.title("In the file"));
    saved = saved.markSaved(saved.song());
    assertThat(saved.changed()).isFalse();
    History other = saved.undo().plus(BriefEdits.title("Another"));
    assertThat(other.changed()).isTrue();
    assertThat(other.undo().changed()).isTrue();
    assertThat(other.plus(BriefEdits.title("In the file")).changed())
        .as("the file is written again to be sure")
        .isTrue();
    assertThat(saved.undo().changed()).isTrue();
    assertThat(saved.undo().redo().changed()).isFalse();
  }
}
