package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import java.util.TreeSet;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;
import westtide.desktop.frame.guide.GuidePage;
import westtide.review.finding.Stage;

class GuideTest extends TrapSongTest {
  private String page() {
    StringBuilder out = new StringBuilder();
    interact(
        () ->
            lookup("#guide-text").queryAs(ScrollPane.class).getContent().lookupAll("*").stream()
                .filter(Text.class::isInstance)
                .forEach(node -> out.append(((Text) node).getText()).append(' ')));
    return out.toString();
  }

  @Test
  void aKeyOpensTheGuideAtTheRoomInFrontAndLinksLeadOn() {
    go(Stage.DRUMS);
    push(KeyCode.F1);
    settle();
    assertThat(lookup("#guide-drums").queryAs(javafx.scene.control.ToggleButton.class).isSelected())
        .isTrue();
    assertThat(lookup(".guide-text").queryAll()).isNotEmpty();
    press("#guide-start");
    interact(() -> ((javafx.scene.control.Hyperlink) lookup(".hyperlink").query()).fire());
    settle();
    assertThat(lookup("#guide-brief").queryAs(javafx.scene.control.ToggleButton.class).isSelected())
        .isTrue();
    push(KeyCode.ESCAPE);
    settle();
    assertThat(shown("#guide")).isFalse();
  }

  /** No page is empty, and none shows the signs it was written with. */
  @Test
  void everyPageIsLaidOutAsText() {
    push(KeyCode.F1);
    settle();
    Set<String> seen = new TreeSet<>();
    for (GuidePage page : GuidePage.values()) {
      press("#guide-" + page.name().toLowerCase().replace('_', '-'));
      String words = page();
      assertThat(words)
          .as(page.toString())
          .hasSizeGreaterThan(150)
          .doesNotContain("**", "](", "|---");
      seen.add(words);
    }
    assertThat(seen).hasSameSizeAs(GuidePage.values());
  }
}
