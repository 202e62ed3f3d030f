package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import westtide.compose.SongDraft;
import westtide.file.SongFile;
import westtide.style.StyleBook;

/** Panels in front of the window, messages, and pictures of the views. */
class OverlaysTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(SongDraft.in(StyleBook.shipped().get("boom bap")).withTitle("Panel").song());
  }

  @Test
  void theFilePanelListsFoldersAndSongsAndWalksThroughThem() throws Exception {
    Path documents = folder.resolve("documents");
    Path inner = Files.createDirectories(documents.resolve("inner"));
    SongFile.write(song(), inner.resolve("deep.tide"));
    Files.writeString(documents.resolve("letter.txt"), "no song");
    push(KeyCode.CONTROL, KeyCode.O);
    settle();
    assertThat(rows()).contains("‥ folder above", "inner /").doesNotContain("letter.txt");
    clickOn("inner /");
    settle();
    clickOn("deep.tide");
    settle();
    assertThat(lookup("#file-path").queryTextInputControl().getText())
        .isEqualTo(inner.resolve("deep.tide").toString());
    clickOn("#file-take");
    waitFor(() -> shell.open().file().isPresent());
    assertThat(shell.open().file()).contains(inner.resolve("deep.tide"));
  }

  private Stream<String> rows() {
    return lookup(".card .command-row").queryAllAs(Button.class).stream().map(Button::getText);
  }

  @Test
  void aFolderIsNoFileAndEscapeLeavesEverythingAsItWas() {
    push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.S);
    settle();
    type("#file-path", folder.toString());
    assertHas(words("#file-problem"), "That is a folder");
    push(KeyCode.ESCAPE);
    settle();
    assertThat(shown("#file-path")).isFalse();
    assertThat(words("#saved-state")).isEqualTo("not saved yet");
  }

  @Test
  void thePanelGivesTheFocusBack() {
    Node before = lookup("#tempo").query();
    clickOn("#tempo");
    push(KeyCode.CONTROL, KeyCode.O);
    settle();
    push(KeyCode.ESCAPE);
    settle();
    assertThat(window.getScene().getFocusOwner()).isSameAs(before);
  }

  @Test
  void tabStaysInThePanel() {
    push(KeyCode.CONTROL, KeyCode.O);
    settle();
    Node overlay = lookup("#overlay").query();
    for (int i = 0; i < 20; i++) {
      push(KeyCode.TAB);
      Node at = window.getScene().getFocusOwner();
      while (at != null && at != overlay) {
        at = at.getParent();
      }
      assertThat(at).as("after " + i + " times Tab").isSameAs(overlay);
    }
  }

  @Test
  void keysBelowAPanelDoNothing() {
    push(KeyCode.SLASH);
    settle();
    push(KeyCode.ALT, KeyCode.UP);
    settle();
    assertThat(words("#bridge-tempo")).isEqualTo("90");
  }

  @Test
  void theStartSheetLeadsBackToTheOpenSong() {
    push(KeyCode.CONTROL, KeyCode.N);
    settle();
    assertThat(words("#start-back")).isEqualTo("◂ back to Panel");
    push(KeyCode.ESCAPE);
    settle();
    assertThat(shown("#start-sheet")).isFalse();
    push(KeyCode.CONTROL, KeyCode.N);
    settle();
    clickOn("#start-back");
    settle();
    assertThat(song().title()).isEqualTo("Panel");
  }

  @Test
  void theCommandListIsWalkedByKeysAndOffersOnlyWhatIsPossible() {
    push(KeyCode.SLASH);
    settle();
    assertThat(shown("#do-undo")).isFalse();
    push(KeyCode.ESCAPE);
    type("#tempo", "93");
    interact(() -> window.getScene().getRoot().requestFocus());
    clickOn("#find-action");
    settle();
    assertThat(shown("#do-undo")).isTrue();
    clickOn("#command-search");
    write("slower");
    push(KeyCode.DOWN);
    push(KeyCode.SPACE);
    settle();
    assertThat(words("#bridge-tempo")).isEqualTo("92");
  }

  @Test
  void aFailureStaysUntilItIsClosed() throws Exception {
    Path damaged = Files.writeString(folder.resolve("documents").resolve("bad.tide"), "[]");
    interact(() -> shell.openFile(damaged));
    settle();
    waitFor(() -> shown("#message"));
    assertHas(words("#message-words"), "bad.tide is damaged", "not a West Tide song");
    clickOn("#message-close");
    settle();
    assertThat(shown("#message")).isFalse();
    assertThat(song().title()).isEqualTo("Panel");
  }

  @Test
  void whatNobodyExpectedIsSaidWithoutDetailsAndTheSongStays() {
    interact(() -> shell.unexpected(new IllegalStateException("inner detail")));
    settle();
    assertHas(words("#message-words"), "nothing was lost");
    assertThat(words("#message-words")).doesNotContain("inner detail", "Exception");
    assertThat(song().title()).isEqualTo("Panel");
  }

  @Test
  @Tag("check")
  void everyViewIsPicturedAtTheSizeOfTheWindow() throws Exception {
    hearing = true;
    Path pictures = folder.resolve("pictures");
    AtomicBoolean done = new AtomicBoolean();
    interact(() -> new Screenshots(shell, window.getScene(), pictures).take(() -> done.set(true)));
    waitFor(90, done::get);
    try (Stream<Path> files = Files.list(pictures)) {
      assertThat(files.map(f -> f.getFileName().toString()))
          .contains("start.png", "brief.png", "chords.png", "drums.png", "low-end.png")
          .contains("lines.png", "form.png", "levels.png", "deliver.png", "playing.png")
          .hasSizeLessThan(20);
    }
    BufferedImage form = ImageIO.read(pictures.resolve("form.png").toFile());
    assertThat(form.getWidth()).isEqualTo(1280);
    assertThat(form.getHeight()).isEqualTo(800);
    assertThat(form.getRGB(640, 400)).isNotEqualTo(form.getRGB(20, 750));
  }

  @Test
  void anyActionIsFoundByTypingAndRunByEnter() {
    push(KeyCode.SLASH);
    settle();
    clickOn("#command-search");
    write("go low");
    push(KeyCode.ENTER);
    settle();
    assertThat(shown("#low-end-sheet")).isTrue();
    push(KeyCode.SLASH);
    settle();
    assertThat(lookup("#command-rows .command-row").queryAll()).hasSizeGreaterThan(25);
    push(KeyCode.ESCAPE);
    settle();
    assertThat(shown("#command-search")).isFalse();
    push(KeyCode.ALT, KeyCode.UP);
    settle();
    assertThat(words("#bridge-tempo")).isEqualTo("91");
  }
}
