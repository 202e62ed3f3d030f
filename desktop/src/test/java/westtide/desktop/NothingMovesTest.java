package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Control;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Drawing;
import westtide.desktop.open.WindowMemory;
import westtide.review.finding.Stage;

/** Opening a page, or changing what is on it, moves nothing else in the window. */
class NothingMovesTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(demo(0));
  }

  @ParameterizedTest
  @EnumSource(
      value = Stage.class,
      names = {"CHORDS", "DRUMS", "LOW_END", "LINES", "FORM", "LEVELS"})
  void everyPageLeavesTheRestWhereItIs(Stage stage) {
    go(stage);
    List<Node> titles =
        lookup(".page-titles .toggle-button").queryAll().stream().filter(WindowTest::seen).toList();
    assertThat(titles).hasSizeGreaterThan(3);
    Map<String, Bounds> before = places();
    for (Node title : titles) {
      String page = ((ToggleButton) title).getText();
      press("#" + title.getId());
      assertThat(places()).as(stage + ", page " + page).isEqualTo(before);
    }
  }

  @ParameterizedTest
  @EnumSource(
      value = Stage.class,
      names = {"DRUMS", "LINES", "FORM"})
  void everyFieldOfAPageLeavesTheRestWhereItIs(Stage stage) {
    go(stage);
    Map<String, Bounds> before = places();
    int tried = 0;
    for (Node field : lookup(".page .text-field").queryAll()) {
      if (seen(field) && !field.isDisabled() && field instanceof TextField text) {
        String was = text.getText();
        type("#" + field.getId(), "nonsense");
        assertThat(places()).as(stage + ", nonsense in " + field.getId()).isEqualTo(before);
        clickOn("#" + field.getId());
        push(KeyCode.ESCAPE);
        type("#" + field.getId(), was);
        tried++;
      }
    }
    assertThat(tried).as("fields tried").isPositive();
  }

  /** The edge over a page is pulled or moved by keys, in every room alike, and remembered. */
  @Test
  void theHandleMakesPagesHigherAndTheWindowKeepsIt() {
    go(Stage.FORM);
    Point2D edge = middle(".page-handle");
    int before = shell.appearance().pages().height().get();
    drag(edge, edge.subtract(0, 40));
    assertThat(shell.appearance().pages().height().get()).isEqualTo(before + 40);
    interact(() -> lookup(".page-handle").match(WindowTest::seen).query().requestFocus());
    push(KeyCode.DOWN);
    assertThat(shell.appearance().pages().height().get()).isEqualTo(before + 28);
    interact(() -> shell.remember(0, 0, 1280, 800));
    assertThat(WindowMemory.read(folder.resolve("data").resolve("window.properties")).pageHeight())
        .isEqualTo(before + 28);
  }

  /** Where everything stands that has a name and is not on a page. */
  private Map<String, Bounds> places() {
    Map<String, Bounds> out = new LinkedHashMap<>();
    for (Node node : lookup("*").queryAll()) {
      boolean thing = node instanceof Control || node instanceof Drawing;
      if (thing && node.getId() != null && seen(node) && !onAPage(node)) {
        out.put(node.getId(), node.localToScene(node.getLayoutBounds()));
      }
    }
    return out;
  }

  private boolean onAPage(Node node) {
    return lookup(".page").queryAll().stream().anyMatch(page -> Controls.holds(page, node));
  }
}
