package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import westtide.review.Stage;

/** What is found is fixed, or left and called back. */
class FindingsTest extends TrapSongTest {
  @Test
  void aFindingIsFixedLeftAndRecalled() {
    go(Stage.CHORDS);
    type("#chord-line", "i | V7 | II | i");
    String first = lookup("#finding-0 .label").queryAs(javafx.scene.control.Label.class).getText();
    press("#leave-0");
    assertThat(lookup("#finding-0 .label").queryAs(javafx.scene.control.Label.class).getText())
        .isNotEqualTo(first);
    press("#recall-left");
    assertThat(song().leftAlone()).isEmpty();
    press("#fix-0");
    assertThat(chords()).doesNotContain("C♯7");
  }
}
