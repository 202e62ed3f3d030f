package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.desktop.files.DemoSongs;
import westtide.draft.Draft;
import westtide.file.FileNames;
import westtide.file.SongFile;
import westtide.file.midi.MidiFile;
import westtide.score.Score;
import westtide.song.Song;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionKind;
import westtide.song.id.PartId;
import westtide.style.StyleBook;

class StartTest extends WindowTest {
  @Test
  void aStyleLeadsToAMidiFileInThreeActions() throws Exception {
    clickOn("#begin-house");
    waitFor(60, () -> shell.open().isOpen());
    assertThat(song().brief().style()).isEqualTo("house");
    clickOn("#stage-deliver");
    settle();
    clickOn("#deliver-write");
    waitFor(() -> words("#message-words").startsWith("Wrote"));
    Path written = folder.resolve("documents").resolve(FileNames.midi(song()));
    Path same = folder.resolve("same.mid");
    MidiFile.write(Score.of(song()), same);
    assertThat(written).hasSameBinaryContentAs(same);
  }

  @Test
  void theDemoOpensWithTheOthersInTheList() {
    List<String> titles = DemoSongs.all().stream().map(s -> s.title()).toList();
    clickOn("#demo-0");
    waitFor(() -> shell.open().isOpen());
    settle();
    assertThat(words("#bridge-title")).isEqualTo(titles.get(0));
    assertThat(words("#bridge-tempo")).isEqualTo("146");
    push(KeyCode.SLASH);
    clickOn("#command-search");
    write("demo " + titles.get(2).toLowerCase());
    push(KeyCode.ENTER);
    waitFor(() -> words("#bridge-title").equals(titles.get(2)));
  }

  /** What was heard is what a click opens. */
  @Test
  void aStyleThatIsHeldIsHeardAndNotOpenedAndAClickOpensTheSameDraft() {
    pressAt(middle("#begin-techno"));
    waitFor(60, () -> shell.play().gauges().playing());
    release();
    waitFor(() -> !shell.play().gauges().playing());
    assertThat(shell.open().isOpen()).isFalse();
    clickOn("#begin-techno");
    waitFor(60, () -> shell.open().isOpen());
    Song same = Draft.in(StyleBook.shipped().get("techno"), clock.get() % 1000).song();
    assertThat(song()).isEqualTo(same);
  }

  @Test
  void aStyleIsHeardByItsKeyAndEnterOpensIt() {
    interact(() -> lookup("#begin-house").query().requestFocus());
    push(KeyCode.H);
    waitFor(60, () -> shell.play().gauges().playing());
    push(KeyCode.H);
    waitFor(() -> !shell.play().gauges().playing());
    push(KeyCode.SPACE);
    waitFor(60, () -> shell.open().isOpen());
    assertThat(song().brief().style()).isEqualTo("house");
  }

  @Test
  void theFieldFindsByTempoNameAndTitleAndEnterOpensTheFirst() {
    push(KeyCode.SLASH);
    write("165");
    assertThat(bright("#begin-bounce")).isTrue();
    assertThat(bright("#begin-house")).isFalse();
    push(KeyCode.ESCAPE);
    write("kettle");
    assertThat(bright("#begin-bounce")).isFalse();
    assertThat(bright("#demo-5")).isTrue();
    push(KeyCode.ENTER);
    waitFor(() -> shell.open().isOpen());
    assertThat(song().title()).isEqualTo("Kettle on Pier Nine");
  }

  private boolean bright(String card) {
    return lookup(card).query().getOpacity() == 1;
  }

  @Test
  void demoSongsAreOfTheirStylesTempoAndKey() {
    assertThat(
            DemoSongs.all().stream()
                .map(s -> s.brief().style() + " " + s.brief().tempo() + " " + s.brief().key()))
        .containsExactly(
            "trap 146 F♯ minor",
            "house 121 A dorian",
            "boom-bap 88 D minor",
            "amapiano 110 G minor",
            "drill 143 E harmonic minor",
            "lo-fi 73 F major");
  }

  @Test
  void demoSongsAreArrangementsWithEverybodyInTheLastHook() {
    for (Song demo : DemoSongs.all()) {
      assertThat(demo.parts().size()).as(demo.title()).isBetween(8, 12);
      int last = demo.form().last(SectionKind.HOOK).orElseThrow();
      long playing =
          demo.parts().stream()
              .filter(part -> plays(demo.form().sections().get(last), part.id()))
              .count();
      assertThat(playing).as(demo.title()).isGreaterThanOrEqualTo(7);
    }
  }

  private static boolean plays(Section section, PartId part) {
    return section.cells(part).stream().anyMatch(cell -> cell.level() != Level.OUT);
  }

  @Test
  void aDamagedFileGivesOneSentenceAndIsLeftAlone() throws Exception {
    Path file =
        Files.writeString(folder.resolve("documents").resolve("broken.tide"), "{ \"format\"");
    clickOn("#open-file");
    settle();
    type("#file-path", file.toString());
    waitFor(() -> shown("#message"));
    assertHas(words("#message-words"), "broken.tide is damaged and was left as it is");
    assertThat(file).hasContent("{ \"format\"");
  }

  @Test
  void theWholePathFromStartToFilesIsOnTheKeyboard() throws Exception {
    interact(() -> lookup("#begin-trap").query().requestFocus());
    push(KeyCode.SPACE);
    waitFor(60, () -> shell.open().isOpen());
    push(KeyCode.ALT, KeyCode.DIGIT8);
    settle();
    assertThat(shown("#deliver-write")).isTrue();
    push(KeyCode.CONTROL, KeyCode.E);
    waitFor(() -> shown("#message"));
    push(KeyCode.CONTROL, KeyCode.S);
    settle();
    push(KeyCode.ENTER);
    waitFor(() -> words("#saved-state").equals("saved"));
    try (Stream<Path> files = Files.list(folder.resolve("documents"))) {
      assertThat(files.map(f -> f.getFileName().toString()))
          .filteredOn(name -> !name.startsWith("."))
          .containsExactlyInAnyOrder(FileNames.midi(song()), FileNames.stem(song()) + ".tide");
    }
    assertThat(SongFile.read(folder.resolve("documents").resolve(FileNames.stem(song()) + ".tide")))
        .isEqualTo(song());
  }

  /** Every way out of "it is open elsewhere" ends at a song or at the start sheet. */
  @Test
  void aSongThatIsOpenElsewhereLeavesTheStartSheet() throws Exception {
    java.nio.file.Path song = folder.resolve("documents").resolve("Shared.tide");
    westtide.file.SongFile.write(
        westtide.compose.SongDraft.in(westtide.style.StyleBook.shipped().get("trap")).song(), song);
    var other = westtide.file.SongLock.of(song, java.time.Clock.systemUTC());
    for (String way : new String[] {"#question-stay", "escape", "#question-copy"}) {
      interact(() -> shell.openFile(song));
      waitFor(() -> shown("#question"));
      if (way.equals("escape")) {
        push(javafx.scene.input.KeyCode.ESCAPE);
      } else {
        press(way);
      }
      boolean copy = way.equals("#question-copy");
      waitFor(() -> !shown("#question") && (copy ? shell.open().isOpen() : shown("#start-sheet")));
    }
    waitFor(() -> !shown("#start-sheet"));
    other.lock().orElseThrow().close();
  }
}
