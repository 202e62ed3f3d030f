package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.desktop.files.DemoSongs;
import westtide.desktop.kit.Controls;
import westtide.review.finding.Stage;

/**
 * That everything can be read: nothing cut, nothing outside its window, enough contrast, every
 * control named.
 */
class LookTest extends WindowTest {
  private static final int MOST_TURNS = 10;

  @Override
  void begin() {
    shell.begin(demo(0));
  }

  /** The narrowest window with the fullest demo; every window with every demo in the longer run. */
  @Test
  void noLabelIsCutAndNothingLeavesTheNarrowestWindow() {
    nothingIsCut(1000, 700, List.of(1));
  }

  @ParameterizedTest
  @CsvSource({"1280, 800", "1100, 700", "1000, 700"})
  @Tag("check")
  void noLabelIsCutAndNothingLeavesTheWindow(int width, int height) {
    nothingIsCut(width, height, IntStream.range(0, DemoSongs.list().size()).boxed().toList());
  }

  private void nothingIsCut(int width, int height, List<Integer> demos) {
    interact(
        () -> {
          window.setWidth(width);
          window.setHeight(height);
        });
    for (int demo : demos) {
      interact(() -> shell.begin(demo(demo)));
      for (Stage stage : Stage.values()) {
        go(stage);
        List<String> cut = cut();
        assertThat(cut).as(stage + " of demo " + demo + " at " + width).isEmpty();
      }
    }
  }

  /**
   * Text of any size has its room in a window of the usual size; where it must, the window scrolls.
   */
  @Test
  void nothingIsCutWhenTextIsLargest() {
    nothingIsCutWhenTextGrows(200);
  }

  @ParameterizedTest
  @CsvSource({"90", "110", "125", "150"})
  @Tag("check")
  void nothingIsCutWhenTextGrows(int percent) {
    interact(() -> shell.appearance().scaleText(percent - 100));
    for (Stage stage : Stage.values()) {
      go(stage);
      List<String> cut = cut();
      assertThat(cut).as(stage + " at " + percent + " %").isEmpty();
    }
  }

  @Test
  void aPanelHigherThanTheWindowScrolls() {
    interact(() -> shell.appearance().scaleText(100));
    settle();
    interact(() -> shell.run("listening"));
    settle();
    ScrollPane scroll = lookup(".over-veil").query();
    interact(() -> scroll.setVvalue(1));
    settle();
    Node last = lookup("#listening-close").query();
    assertThat(last.localToScene(last.getLayoutBounds()).getMaxY())
        .isLessThanOrEqualTo(window.getScene().getHeight());
  }

  @Test
  void whatGetsTheFocusComesIntoViewWhenTheWindowScrolls() {
    interact(() -> shell.appearance().scaleText(100));
    settle();
    go(Stage.LEVELS);
    Node last = lookup("#mute-part").query();
    interact(last::requestFocus);
    settle();
    Bounds at = last.localToScene(last.getLayoutBounds());
    assertThat(at.getMaxY()).isLessThanOrEqualTo(window.getScene().getHeight());
    assertThat(at.getMinY()).isNotNegative();
  }

  @Test
  void noLabelOfAPageOrPanelIsCutInTheNarrowestWindow() {
    noLabelOfAPageOrPanelIsCut(1000, 700);
  }

  @ParameterizedTest
  @CsvSource({"1280, 800", "1100, 700"})
  @Tag("check")
  void noLabelOfAPageOrPanelIsCut(int width, int height) {
    interact(
        () -> {
          window.setWidth(width);
          window.setHeight(height);
          shell.begin(demo(2));
        });
    for (String command :
        List.of(
            "chords-chord",
            "chords-next-chord",
            "chords-by-mood",
            "chords-progression",
            "chords-parts-and-layers",
            "chords-name-these-notes",
            "drums-hit",
            "drums-lane",
            "drums-sound",
            "drums-cycle",
            "drums-groove",
            "drums-eight-bars",
            "drums-play-in",
            "brief-schools",
            "brief-plan",
            "find-key",
            "bench",
            "own-styles")) {
      interact(
          () -> {
            shell.closeOverlay();
            shell.run(command);
          });
      settle();
      List<String> cut = cut();
      assertThat(cut).as(command + " at " + width).isEmpty();
      assertThat(lookup("#tide-chart").query().localToScene(0, 0).getY())
          .as(command + " leaves the tide chart its room at " + width)
          .isLessThan(height - 70);
      assertThat(lookup("#bridge-title").query().localToScene(0, 0).getY()).isNotNegative();
    }
  }

  @Test
  void labelsOfDrawingsKeepApart() {
    labelsOfDrawingsKeepApartWhenTextGrows(100);
  }

  @ParameterizedTest
  @CsvSource({"90", "125", "150"})
  @Tag("check")
  void labelsOfDrawingsKeepApartWhenTextGrows(int percent) {
    go(Stage.FORM);
    interact(() -> shell.appearance().scaleText(percent - 100));
    settle();
    for (String sheet : List.of("#tide-chart", "#tank-sheet")) {
      List<Text> words =
          lookup(sheet).query().lookupAll(".mark-text").stream()
              .map(Text.class::cast)
              .filter(text -> text.isVisible() && !text.getText().isBlank())
              .toList();
      assertThat(words).hasSizeGreaterThan(8);
      for (Text one : words) {
        assertThat(words)
            .as(one.getText() + " in " + sheet + " at " + percent + " %")
            .noneMatch(other -> other != one && ink(one).intersects(ink(other)));
      }
    }
  }

  /** Where the letters of a text are drawn, without the room its font leaves between lines. */
  private static Bounds ink(Text text) {
    double size = text.getFont().getSize();
    return new BoundingBox(
        text.getX(), text.getY() - 0.7 * size, text.getLayoutBounds().getWidth(), 0.8 * size);
  }

  /** Whether a control of a sheet lies below it, where no scrolling brings it into view. */
  private boolean hidden(Node node, Bounds bounds) {
    double tide = lookup("#tide-chart").query().localToScene(0, 0).getY();
    boolean sheet = false;
    for (Node at = node; at != null; at = at.getParent()) {
      if (at instanceof ScrollPane && !"frame-scroll".equals(at.getId())) {
        return false;
      }
      sheet |= at.getStyleClass().contains("sheet");
    }
    return sheet && bounds.getMaxY() > tide + 1;
  }

  /** Where the frame of the window ends, in view or behind its edge. */
  private double right() {
    Node chart = lookup("#tide-chart").query();
    return chart.localToScene(chart.getLayoutBounds()).getMaxX() + 20;
  }

  /** What is cut or outside once the window is laid out: some of it waits for the next picture. */
  private List<String> cut() {
    List<String> cut = new ArrayList<>();
    for (int turn = 0; turn < MOST_TURNS; turn++) {
      cut.clear();
      interact(() -> collectCut(window.getScene().getRoot(), cut));
      if (cut.isEmpty()) {
        break;
      }
      interact(this::layOutWhole);
      settle();
    }
    return cut;
  }

  /** Looks at every node again, which other tests can do without. */
  private void layOutWhole() {
    Parent root = window.getScene().getRoot();
    root.applyCss();
    root.layout();
  }

  private void collectCut(Node node, List<String> cut) {
    if (!node.isVisible()) {
      return;
    }
    if (node instanceof Labeled labeled && !labeled.getText().isEmpty()) {
      labeled.lookupAll(".text").stream()
          .filter(Text.class::isInstance)
          .map(text -> ((Text) text).getText())
          .filter(shown -> shown.endsWith("...") && !labeled.getText().endsWith("..."))
          .forEach(cut::add);
    }
    Bounds bounds = node.localToScene(node.getLayoutBounds());
    boolean control = node instanceof Button || node instanceof ToggleButton;
    if (control && bounds.getMaxX() > right() + 1) {
      cut.add("outside: " + node.getId());
    }
    if (control && hidden(node, bounds)) {
      cut.add("hidden: " + node.getId());
    }
    if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(child -> collectCut(child, cut));
    }
  }

  @Test
  void everyControlHasANameForScreenReadersAndAnId() {
    for (Stage stage : Stage.values()) {
      go(stage);
      for (Node node : lookup(".button").queryAll()) {
        ButtonBase button = (ButtonBase) node;
        boolean inside = button.getStyleClass().contains("arrow-button");
        assertThat(inside || button.getId() != null).as(button.toString()).isTrue();
        String name = button.getText().isEmpty() ? button.getAccessibleText() : button.getText();
        assertThat(name).as(button.toString()).isNotBlank();
      }
    }
  }

  /** A sign or a letter alone says nothing; what it does stands in its tooltip. */
  @Test
  void everySignExplainsItself() {
    for (Stage stage : Stage.values()) {
      go(stage);
      Set<String> bare = new TreeSet<>();
      for (Node node : lookup(".button, .toggle-button").queryAll()) {
        ButtonBase button = (ButtonBase) node;
        boolean wordless = button.getText() == null || button.getText().strip().length() < 3;
        boolean chip = button.getStyleClass().contains("chip");
        boolean stop = button.getStyleClass().contains("course-stop");
        if (wordless
            && !chip
            && !stop
            && Controls.explanation(button).isEmpty()
            && button.getId() != null) {
          bare.add(stage + " " + button.getId());
        }
      }
      assertThat(bare).isEmpty();
    }
  }
}
