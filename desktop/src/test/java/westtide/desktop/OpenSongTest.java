package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import westtide.compose.SongDraft;
import westtide.desktop.open.OpenSong;
import westtide.desktop.open.SongView;
import westtide.rhythm.Tempo;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;
import westtide.song.edit.form.FormEdits;
import westtide.style.StyleBook;

/** The holder of the open song, without a window. */
class OpenSongTest {
  private static final StyleBook BOOK = StyleBook.shipped();
  private static final Song SONG = SongDraft.in(BOOK.get("trap")).song();
  private final OpenSong open = new OpenSong(BOOK);

  @Test
  void everyChangeMakesOneViewAndTellsTheWatchers() {
    List<SongView> seen = new ArrayList<>();
    open.watch(seen::add);
    open.begin(SONG);
    open.apply(BriefEdits.tempo(Tempo.of(130)));
    open.apply(Edit.of("nothing", song -> song));
    open.undo();
    open.redo();
    open.redo();
    assertThat(seen)
        .extracting(view -> view.song().brief().tempo().toString())
        .containsExactly("142", "130", "142", "130");
    assertThat(seen.get(1).score().song()).isSameAs(open.song());
  }

  /** A room that fails to show a song leaves the one before it, shown as it was. */
  @Test
  void aSongThatCannotBeShownIsNotTheOpenOne() {
    Song other = BriefEdits.title("Cannot be shown").apply(SONG);
    List<String> shown = new ArrayList<>();
    open.begin(SONG);
    open.watch(
        view -> {
          if (view.song().title().equals("Cannot be shown")) {
            throw new IllegalStateException("no room shows it");
          }
          shown.add(view.song().title());
        });
    assertThatThrownBy(() -> open.open(other, Path.of("other.tide")))
        .hasMessageContaining("no room");
    assertThat(open.song()).isSameAs(SONG);
    assertThat(open.file()).isEmpty();
    assertThatThrownBy(() -> open.apply(BriefEdits.title("Cannot be shown")))
        .hasMessageContaining("no room");
    assertThat(open.song()).isSameAs(SONG);
    assertThat(open.undoable()).isEmpty();
    assertThat(shown).containsExactly(SONG.title(), SONG.title());
  }

  @Test
  void selectingASectionKeepsTheScore() {
    open.begin(SONG);
    SongView before = open.view().orElseThrow();
    open.select(3);
    assertThat(open.view().orElseThrow()).isSameAs(before);
    assertThat(open.section()).isEqualTo(3);
  }

  @Test
  void theFirstHookIsSelectedAndTheSelectionStaysInTheForm() {
    open.begin(SONG);
    assertThat(SONG.form().label(open.section())).isEqualTo("hook");
    open.select(7);
    open.apply(FormEdits.remove(SONG.form().id(7)));
    assertThat(open.section()).isEqualTo(6);
  }

  @Test
  void onlyWorkSomebodyDidIsWorthKeeping() {
    open.begin(SONG);
    assertThat(open.changed()).isTrue();
    assertThat(open.unsavedWork()).as("a draft nobody touched").isFalse();
    open.apply(BriefEdits.title("Mine"));
    assertThat(open.unsavedWork()).isTrue();
    open.saved(open.song(), Path.of("mine.tide"));
    assertThat(open.unsavedWork()).isFalse();
    open.undo();
    assertThat(open.unsavedWork()).as("it differs from its file").isTrue();
    open.open(SONG, Path.of("other.tide"));
    assertThat(open.unsavedWork()).isFalse();
    open.recover(SONG, Optional.empty());
    assertThat(open.unsavedWork()).as("what a crash left").isTrue();
  }

  @Test
  void aStyleTheBookLacksIsMeasuredAsTheFirst() {
    open.begin(SONG.withBrief(SONG.brief().withStyle("waltz")));
    assertThat(open.view().orElseThrow().style().id()).isEqualTo("trap");
    assertThat(open.song().brief().style()).isEqualTo("waltz");
  }

  @Test
  void nothingOpenHasNoSong() {
    assertThat(open.isOpen()).isFalse();
    assertThat(open.view()).isEmpty();
    assertThatThrownBy(open::song).hasMessageContaining("no song is open");
  }
}
