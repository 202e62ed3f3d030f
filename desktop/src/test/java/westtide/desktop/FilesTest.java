package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.compose.SongDraft;
import westtide.file.SongFile;
import westtide.file.midi.MidiOptions;
import westtide.file.midi.MidiPieces;
import westtide.review.finding.Stage;
import westtide.score.Score;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.style.StyleBook;

class FilesTest extends WindowTest {
  private static Song draft(String title) {
    return SongDraft.in(StyleBook.shipped().get("trap")).withTitle(title).song();
  }

  @Override
  void begin() {
    shell.begin(draft("First"));
  }

  /** The work this window keeps, once it is whole. */
  private Optional<Path> kept() throws Exception {
    Path unsaved = folder.resolve("data").resolve("unsaved");
    if (!Files.isDirectory(unsaved)) {
      return Optional.empty();
    }
    try (Stream<Path> files = Files.list(unsaved)) {
      return files.filter(file -> file.toString().endsWith(".unsaved")).findFirst();
    }
  }

  @Test
  void aSongIsSavedReopenedAndUndoneThroughTheWindow() throws Exception {
    Path file = folder.resolve("documents").resolve("mine");
    assertThat(words("#saved-state")).isEqualTo("not saved yet");
    type("#tempo", "139.5");
    clickOn("#save");
    settle();
    type("#file-path", file.toString());
    waitFor(() -> words("#saved-state").equals("saved"));
    Path saved = folder.resolve("documents").resolve("mine.tide");
    assertThat(SongFile.read(saved).brief().tempo()).hasToString("139.5");
    clickOn("#undo");
    settle();
    assertThat(words("#saved-state")).isEqualTo("changed");
    assertThat(words("#bridge-tempo")).isEqualTo("142");
    interact(() -> shell.openFile(saved));
    settle();
    assertThat(shown("#question")).isTrue();
    clickOn("#question-discard");
    waitFor(() -> words("#bridge-tempo").equals("139.5") && !shown("#start-sheet"));
    assertThat(words("#saved-state")).isEqualTo("saved");
  }

  @Test
  void unsavedChangesAreAskedAboutOnceAndCanBeSaved() throws Exception {
    interact(() -> shell.open().apply(BriefEdits.title("Changed")));
    interact(() -> shell.begin(draft("Second")));
    settle();
    assertHas(lookup("#question").query().toString(), "Question");
    clickOn("#question-stay");
    settle();
    assertThat(song().title()).isEqualTo("Changed");
    interact(() -> shell.begin(draft("Second")));
    settle();
    clickOn("#question-save");
    settle();
    push(KeyCode.ENTER);
    waitFor(() -> song().title().equals("Second"));
    assertThat(shown("#question")).isFalse();
    Path saved = folder.resolve("documents").resolve("Changed 142 F#m.tide");
    assertThat(SongFile.read(saved).title()).isEqualTo("Changed");
  }

  @Test
  void recentFilesAreOnTheStartSheet() throws Exception {
    Path file = folder.resolve("documents").resolve("Earlier.tide");
    SongFile.write(draft("Earlier"), file);
    interact(() -> shell.openFile(file));
    waitFor(() -> song().title().equals("Earlier"));
    interact(() -> shell.showStart());
    settle();
    assertThat(words("#recent-0 .strong")).isEqualTo("Earlier.tide");
    clickOn("#recent-0");
    waitFor(() -> !shown("#start-sheet"));
    assertThat(words("#saved-state")).isEqualTo("saved");
  }

  @Test
  void changedWorkIsKeptWithoutSavingAndRecoveredAfterACrash() throws Exception {
    Path unsaved = folder.resolve("data").resolve("unsaved");
    type("#song-title", "Nearly Lost");
    waitFor(() -> kept().isPresent());
    Files.move(kept().orElseThrow(), unsaved.resolve("1.unsaved"));
    interact(() -> shell.showStart());
    settle();
    assertThat(words("#recover-0 .unsaved")).isEqualTo("unsaved: Nearly Lost");
    clickOn("#recover-0");
    waitFor(() -> song().title().equals("Nearly Lost"));
    assertThat(shell.open().unsavedWork()).isTrue();
    waitFor(() -> !Files.exists(unsaved.resolve("1.unsaved")));
  }

  @Test
  void aCleanEndLeavesNothingToRecover() throws Exception {
    type("#song-title", "Ended");
    waitFor(() -> kept().isPresent());
    interact(shell::close);
    assertThat(folder.resolve("data").resolve("unsaved")).isEmptyDirectory();
  }

  @Test
  void aFolderThatCannotBeWrittenIsSaidAndNothingIsLost() throws Exception {
    Path blocked = Files.writeString(folder.resolve("blocked"), "a file, no folder");
    go(Stage.DELIVER);
    type("#deliver-folder", blocked.toString());
    clickOn("#deliver-write");
    waitFor(() -> shown("#message"));
    assertHas(words("#message-words"), "blocked");
    assertThat(blocked).hasContent("a file, no folder");
    assertThat(song().title()).isEqualTo("First");
  }

  @Test
  void oneFileAPartIsWritten() throws Exception {
    go(Stage.DELIVER);
    Path parts = folder.resolve("parts");
    type("#deliver-folder", parts.toString());
    press("#deliver-midi", "#deliver-write");
    waitFor(() -> shown("#confirm-yes"));
    assertThat(parts).as("asked about before it is made").doesNotExist();
    press("#confirm-yes");
    waitFor(() -> words("#message-words").startsWith("Wrote 6 files"));
    for (MidiPieces.Piece piece : MidiPieces.parts(Score.of(song()))) {
      assertThat(parts.resolve(piece.name()))
          .hasBinaryContent(piece.made().with(MidiOptions.USUAL));
    }
    assertThat(parts.resolve("First 142 F#m Bass guitar.mid")).exists();
    assertHas(
        lookup("#deliver-command").queryTextInputControl().getText(),
        "./west-tide export",
        "--parts " + parts);
    assertThat(Optional.of(words("#deliver-name"))).contains("First 142 F#m …");
  }

  /** A file that names a part it does not have opens all the same, and says so. */
  @Test
  void aMendedFileSaysWhatWasTakenOut() throws Exception {
    Path file = folder.resolve("dangling.tide");
    SongFile.write(draft("Dangling"), file);
    String text = Files.readString(file);
    int cells = text.indexOf("\"cells\"");
    Files.writeString(
        file,
        text.substring(0, cells) + text.substring(cells).replaceFirst("\"lead\"", "\"ghost\""));
    interact(() -> shell.openFile(file));
    settle();
    if (shown("#question")) {
      clickOn("#question-discard");
    }
    waitFor(() -> shown("#message"));
    assertHas(words("#message-words"), "Mended", "ghost");
    assertThat(lookup("#message").query().getStyleClass()).doesNotContain("bad");
    assertThat(shell.open().song().title()).isEqualTo("Dangling");
    clickOn("#message-close");
    settle();
    assertThat(shown("#message")).isFalse();
  }
}
