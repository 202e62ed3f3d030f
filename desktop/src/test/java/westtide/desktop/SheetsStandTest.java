package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.layout.Pane;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;

/** Whatever fails in a sheet, it stands again and can be worked with. */
class SheetsStandTest extends TrapSongTest {
  @Test
  void aSheetThatFailedIsThereAgainWithItsNameInTheMessage() {
    for (Stage sheet : Stage.values()) {
      go(sheet);
      interact(
          () -> {
            Pane broken = (Pane) shell.front().node();
            broken.getChildren().clear();
            shell.unexpected(new IllegalStateException("index 0 out of bounds for length 0"));
          });
      settle();
      assertThat(words("#message-words")).contains("The sheet " + sheet + " failed");
      Pane stands = (Pane) shell.front().node();
      assertThat(stands.getChildren()).as(sheet.toString()).isNotEmpty();
      assertThat(stands.getScene()).as(sheet.toString()).isSameAs(window.getScene());
    }
    go(Stage.CHORDS);
    type("#chord-line", "i | VI");
    assertThat(song().progressions().get(0).chords()).hasSize(2);
  }
}
