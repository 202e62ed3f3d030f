package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.desktop.kit.Drawing;
import westtide.review.finding.Stage;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.part.PartEdits;

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

  /** What was drawn of parts that are gone is not drawn again when the window is made larger. */
  @ParameterizedTest
  @CsvSource({"CHORDS, CHORDS", "DRUMS, DRUMS", "LOW_END, SUB BASS", "LINES, LINE"})
  void aSheetWhosePartsAreGoneStands(Stage sheet, String roles) {
    go(sheet);
    Song bare = song();
    for (Part part : song().parts()) {
      boolean goes = List.of(roles.split(" ")).contains(part.role().name());
      bare = goes ? new PartEdits(part.id()).remove().apply(bare) : bare;
    }
    Song without = bare;
    interact(() -> shell.open().begin(without));
    go(sheet);
    for (Node drawing :
        lookup("*").queryAll().stream().filter(Drawing.class::isInstance).toList()) {
      interact(
          () -> {
            drawing.resize(drawing.getLayoutBounds().getWidth() - 40, 200);
            ((Drawing) drawing).layout();
          });
    }
    settle();
    assertThat(song().parts()).hasSameSizeAs(without.parts());
    assertThat(words("#message-words")).doesNotContain("failed");
  }
}
