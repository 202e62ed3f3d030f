package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import westtide.compose.SongDraft;
import westtide.file.Recovery;
import westtide.file.SongFile;
import westtide.file.SongLock;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;
import westtide.style.StyleBook;

/** Nothing lost: files of others, of newer versions and of before; work of before a crash. */
class KeptWorkTest extends WindowTest {
  private Path file;

  private static Song draft(String title) {
    return SongDraft.in(StyleBook.shipped().get("trap")).withTitle(title).song();
  }

  @Override
  void begin() {
    shell.begin(draft("First"));
  }

  private Path written(String title) throws IOException {
    Path to = folder.resolve("documents").resolve(title + ".tide");
    SongFile.write(draft(title), to);
    return to;
  }

  private void opened(String title) throws IOException {
    file = written(title);
    interact(() -> shell.openFile(file));
    waitFor(() -> song().title().equals(title) && !shown("#start-sheet"));
    settle();
  }

  @Test
  void aFileSomebodyElseChangedIsAskedAboutBeforeItIsSaved() throws Exception {
    opened("Mine");
    interact(() -> shell.open().apply(BriefEdits.title("Changed here")));
    SongFile.write(draft("Changed there"), file);
    clickOn("#save");
    waitFor(() -> shown("#question"));
    assertThat(SongFile.read(file).title()).isEqualTo("Changed there");
    press("#question-mine");
    waitFor(() -> words("#saved-state").equals("saved"));
    assertThat(SongFile.read(file).title()).isEqualTo("Changed here");
    SongFile.write(draft("Changed again"), file);
    interact(shell::inFront);
    waitFor(() -> shown("#question"));
    press("#question-theirs");
    waitFor(() -> song().title().equals("Changed again"));
    assertThat(SongLock.of(file, Clock.systemUTC()).lock()).as("it is still ours").isEmpty();
    assertThat(words("#saved-state")).isEqualTo("saved");
  }

  /** What takes long says so until it is there. */
  @Test
  void aLargeFileSaysThatItIsOpening() throws Exception {
    Path song = written("Large");
    String wide = " ".repeat(1 << 20);
    Files.writeString(song, Files.readString(song).replaceFirst("\n", "\n" + wide));
    interact(
        () -> {
          shell.openFile(song);
          assertThat(words("#message-words")).isEqualTo("Opening Large.tide …");
        });
    waitFor(() -> song().title().equals("Large"));
    waitFor(() -> !shown("#message"));
  }

  @Test
  void aSongThatIsOpenElsewhereOpensAsACopy() throws Exception {
    Path song = written("Shared");
    SongLock.Answer other = SongLock.of(song, Clock.systemUTC());
    interact(() -> shell.openFile(song));
    waitFor(() -> shown("#question"));
    press("#question-copy");
    waitFor(() -> song().title().equals("Shared"));
    assertThat(shell.open().file()).isEmpty();
    other.lock().orElseThrow().close();
  }

  @Test
  void aFileOfANewerVersionOpensAsACopyAndIsNotSavedOver() throws Exception {
    Path song = written("Tomorrow");
    String text = Files.readString(song).replaceFirst("\"version\" : \\d+", "\"version\" : 99");
    Files.writeString(song, text);
    interact(() -> shell.openFile(song));
    waitFor(() -> song().title().equals("Tomorrow"));
    settle();
    assertHas(words("#message-words"), "newer version", "copy");
    assertThat(shell.open().file()).isEmpty();
    assertThat(song).hasContent(text);
  }

  @Test
  void savedVersionsAreListedWithWhatChangedAndOpened() throws Exception {
    opened("Versions");
    interact(() -> shell.open().apply(BriefEdits.title("Second")));
    clickOn("#save");
    waitFor(() -> words("#saved-state").equals("saved"));
    type("#tempo", "150");
    clickOn("#save");
    waitFor(() -> words("#saved-state").equals("saved"));
    run("versions");
    waitFor(() -> shown("#versions"));
    List<String> said =
        lookup("#versions .label").queryAllAs(javafx.scene.control.Label.class).stream()
            .map(javafx.scene.control.Label::getText)
            .toList();
    assertThat(said).anyMatch(words -> words.startsWith("changed: tempo 150 for"));
    press("#version-1");
    waitFor(() -> !shown("#versions"));
    assertThat(song().brief().tempo()).hasToString("142");
    assertThat(shell.open().file()).contains(file);
    assertThat(shell.open().unsavedWork()).isTrue();
    assertThat(SongFile.read(file).brief().tempo()).hasToString("150");
  }

  /** What the application keeps is for its owner alone; a song is as open as new files are. */
  @Test
  void whatIsKeptIsReadByNobodyElse() throws Exception {
    opened("Private");
    type("#tempo", "150");
    clickOn("#save");
    waitFor(() -> words("#saved-state").equals("saved"));
    type("#tempo", "151");
    Path data = folder.resolve("data");
    waitFor(() -> kept(data).stream().anyMatch(path -> path.toString().endsWith(".unsaved")));
    interact(() -> shell.remember(0, 0, 1280, 800));
    List<Path> kept = kept(data);
    assertThat(kept.stream().map(path -> path.getFileName().toString()))
        .contains("window.properties", "recent-files.txt")
        .anyMatch(name -> name.endsWith(".tide"));
    assertThat(kept)
        .allSatisfy(
            path ->
                assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(path)))
                    .isEqualTo("rw-------"));
    Path plain = Files.createFile(folder.resolve("plain"));
    assertThat(Files.getPosixFilePermissions(file)).isEqualTo(Files.getPosixFilePermissions(plain));
  }

  private static List<Path> kept(Path data) throws IOException {
    try (Stream<Path> files = Files.walk(data)) {
      return files
          .filter(Files::isRegularFile)
          .filter(path -> !path.getFileName().toString().endsWith(".part"))
          .toList();
    }
  }

  @Test
  void whoNamesASongIsOfferedUnsavedWorkWithItsTimeAndWhatDiffers() throws Exception {
    Path song = written("Named");
    Clock then = Clock.fixed(Instant.parse("2026-11-26T18:30:00Z"), ZoneOffset.UTC);
    Recovery crashed = Recovery.in(folder.resolve("data").resolve("unsaved"), then);
    crashed.keep(BriefEdits.title("Nearly lost").apply(draft("Named")), Optional.of(song));
    crashed.close();
    interact(() -> shell.openFile(song));
    waitFor(() -> shown("#recover-0"));
    assertThat(song().title()).isEqualTo("Named");
    assertThat(lookup("#start-sheet .label").queryAllAs(javafx.scene.control.Label.class))
        .extracting(javafx.scene.control.Label::getText)
        .anyMatch(words -> words.contains("26 November") && words.contains("called Nearly lost"));
    press("#recover-0");
    waitFor(() -> song().title().equals("Nearly lost"));
    assertThat(shell.open().file()).contains(song);
  }

  @Test
  void workThatWasUndoneSavedAndRedoneIsKept() throws Exception {
    opened("Redone");
    interact(() -> shell.open().apply(BriefEdits.title("Again")));
    waitFor(() -> kept().isPresent());
    interact(() -> shell.open().undo());
    clickOn("#save");
    waitFor(() -> kept().isEmpty());
    interact(() -> shell.open().redo());
    waitFor(() -> kept().isPresent());
  }

  /** A folder that cannot be written is told once, and tried again until it can. */
  @Test
  void workThatCannotBeKeptIsToldOnceAndTriedAgain() throws Exception {
    Path unsaved = folder.resolve("data").resolve("unsaved");
    Files.createDirectories(unsaved.getParent());
    Files.writeString(unsaved, "in the way");
    interact(() -> shell.open().apply(BriefEdits.title("Cannot be kept")));
    waitFor(() -> shown("#message") && words("#message-words").contains("cannot be kept just now"));
    interact(() -> shell.open().apply(BriefEdits.title("Still cannot")));
    Files.delete(unsaved);
    waitFor(() -> kept().isPresent());
    waitFor(() -> !shown("#message"));
  }

  private Optional<Path> kept() throws IOException {
    Path unsaved = folder.resolve("data").resolve("unsaved");
    if (!Files.isDirectory(unsaved)) {
      return Optional.empty();
    }
    try (var files = Files.list(unsaved)) {
      return files.filter(f -> f.toString().endsWith(".unsaved")).findFirst();
    }
  }

  /** An edit that makes what cannot be scored changes nothing. */
  @Test
  void anEditThatFailsLeavesTheSongAndItsView() {
    Song before = song();
    Edit broken =
        Edit.of(
            "Break it",
            song -> {
              throw new IllegalArgumentException("no");
            });
    interact(
        () ->
            assertThat(
                    org.assertj.core.api.Assertions.catchThrowable(
                        () -> shell.open().apply(broken)))
                .isInstanceOf(IllegalArgumentException.class));
    assertThat(song()).isSameAs(before);
    interact(() -> shell.open().apply(BriefEdits.title("Still here")));
    assertThat(words("#bridge-title")).isEqualTo("Still here");
  }

  /** Cancel decides nothing, the usual answer destroys nothing, and what is replaced is kept. */
  @Test
  void leavingTheQuestionWhoseVersionDecidesNothing() throws Exception {
    opened("Mine");
    interact(() -> shell.open().apply(BriefEdits.title("Changed here")));
    SongFile.write(draft("Changed there"), file);
    clickOn("#save");
    waitFor(() -> shown("#question"));
    press("#question-stay");
    clickOn("#save");
    waitFor(() -> shown("#question"));
    assertThat(SongFile.read(file).title()).as("it asks again").isEqualTo("Changed there");
    push(javafx.scene.input.KeyCode.ESCAPE);
    waitFor(() -> !shown("#question"));
    interact(shell::inFront);
    settle();
    SongFile.write(draft("Changed once more"), file);
    interact(shell::inFront);
    waitFor(() -> shown("#question"));
    push(javafx.scene.input.KeyCode.ENTER);
    waitFor(() -> shown("#file-path"));
    assertThat(SongFile.read(file).title()).isEqualTo("Changed once more");
    push(javafx.scene.input.KeyCode.ESCAPE);
    clickOn("#save");
    waitFor(() -> shown("#question"));
    press("#question-mine");
    waitFor(() -> words("#saved-state").equals("saved"));
    assertThat(SongFile.read(file).title()).isEqualTo("Changed here");
    run("versions");
    waitFor(() -> shown("#versions"));
    assertThat(
            new westtide.file.SongVersions(
                    folder.resolve("data").resolve("versions"), Clock.systemUTC())
                .all(file))
        .anyMatch(version -> title(version).equals("Changed once more"));
  }

  private static String title(westtide.file.SongVersions.Version version) {
    try {
      return version.song().title();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  /** However many edits are waiting for the window, a save asked for is done, in its order. */
  @Test
  void aSaveAskedForIsDoneWhileTheWindowIsBusy() throws Exception {
    opened("Busy");
    interact(
        () -> {
          shell.open().apply(BriefEdits.title("Asked to save this"));
          shell.run("save");
          for (int i = 0; i < 400; i++) {
            int turn = i;
            javafx.application.Platform.runLater(
                () -> {
                  if (shell.open().isOpen()) {
                    shell.open().apply(BriefEdits.title("Later " + turn % 7));
                  }
                });
          }
        });
    waitFor(() -> SongFile.read(file).title().equals("Asked to save this"));
    waitFor(() -> song().title().startsWith("Later"));
    assertThat(shell.open().unsavedWork()).isTrue();
  }
}
