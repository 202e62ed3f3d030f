package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Labeled;
import org.junit.jupiter.api.Test;
import westtide.compose.SongDraft;
import westtide.file.FileNames;
import westtide.review.finding.Stage;
import westtide.style.StyleBook;

/** What is ticked is what is written, and nothing is replaced unasked. */
class DeliverRoomTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(SongDraft.in(StyleBook.shipped().get("trap")).withTitle("Ticks").song());
    shell.go(Stage.DELIVER);
  }

  @Test
  void theFilesAreNamedBeforeTheyAreWrittenAndMarkedAfter() throws Exception {
    List<Path> shown = new ArrayList<>();
    shell.revealBy(shown::add);
    waitFor(() -> rows().contains("new"));
    assertThat(rows()).contains("….mid", "… Keys.mid").doesNotContain("… 01 intro.mid");
    press("#deliver-sections");
    waitFor(() -> rows().contains("… 01 intro.mid"));
    press("#deliver-parts", "#deliver-sections");
    assertThat(words("#deliver-write")).isEqualTo("write 1 file");
    press("#deliver-write");
    waitFor(() -> rows().contains("written"));
    assertThat(whole()).exists();
    press("#deliver-reveal");
    assertThat(shown).containsExactly(whole().getParent());
  }

  @Test
  void aFileThatIsThereIsAskedAbout() throws Exception {
    Files.writeString(whole(), "somebody's own");
    press("#deliver-parts");
    waitFor(() -> rows().contains("replaces a file"));
    press("#deliver-write");
    waitFor(() -> shown("#confirm-no"));
    press("#confirm-no");
    assertThat(whole()).hasContent("somebody's own");
    press("#deliver-write");
    waitFor(() -> shown("#confirm-yes"));
    press("#confirm-yes");
    waitFor(() -> words("#message-words").startsWith("Wrote"));
    assertThat(Files.size(whole())).isGreaterThan(100);
  }

  @Test
  void nothingTickedWritesNothing() {
    press("#deliver-midi", "#deliver-parts");
    assertThat(lookup("#deliver-write").query().isDisabled()).isTrue();
  }

  @Test
  void theCommandLineSaysWhatIsTicked() {
    press("#deliver-parts", "#deliver-lanes", "#rate-44-1-khz", "#deliver-line");
    assertThat(lookup("#deliver-command").queryTextInputControl().getText())
        .contains("--midi", "--lanes", "--rate 44100")
        .doesNotContain("--parts", "--wav");
  }

  private Path whole() {
    return folder.resolve("documents").resolve(FileNames.midi(song()));
  }

  private List<String> rows() {
    return lookup("#deliver-files .label").queryAll().stream()
        .map(node -> ((Labeled) node).getText())
        .toList();
  }
}
