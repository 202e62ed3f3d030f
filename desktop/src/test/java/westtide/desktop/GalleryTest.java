package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import westtide.desktop.kit.Drawing;
import westtide.review.finding.Stage;
import westtide.song.Song;

/** Every room walked by Tab, and every sheet touched by every gesture. */
class GalleryTest extends TrapSongTest {
  private static final int MOST_TABS = 260;

  /** Tab comes to every control that can be used; of a group of chips to one of them. */
  @ParameterizedTest
  @EnumSource(Stage.class)
  void tabReachesEveryControlOfARoom(Stage stage) {
    go(stage);
    interact(() -> lookup("#stage-brief").query().requestFocus());
    interact(() -> lookup("#tide-chart").query().requestFocus());
    Set<Node> reached = new HashSet<>();
    for (int i = 0; i < MOST_TABS; i++) {
      push(KeyCode.TAB);
      Node owner = window.getScene().getFocusOwner();
      if (!reached.add(owner) && owner.getId() != null && owner.getId().equals("tide-chart")) {
        break;
      }
    }
    List<String> missed = new ArrayList<>();
    interact(() -> collect(window.getScene().getRoot(), reached, missed));
    assertThat(missed).as(stage + ": never reached by Tab").isEmpty();
  }

  private static void collect(Node node, Set<Node> reached, List<String> missed) {
    if (!node.isVisible() || node.isDisabled()) {
      return;
    }
    boolean control =
        node instanceof ButtonBase || node instanceof TextField || node instanceof Drawing;
    if (control && node.isFocusTraversable() && !reached.contains(node)) {
      missed.add(node.getClass().getSimpleName() + " " + node.getId());
    }
    if (node instanceof ScrollPane scroll) {
      collect(scroll.getContent(), reached, missed);
    } else if (node instanceof Parent parent && !(node instanceof ButtonBase)) {
      parent.getChildrenUnmodifiable().forEach(child -> collect(child, reached, missed));
    }
  }

  /** Clicks anywhere on a sheet choose, and change nothing. */
  @ParameterizedTest
  @CsvSource({
    "CHORDS, #voice-ladder",
    "DRUMS, #bead-sheet",
    "LOW_END, #low-end-sheet",
    "LINES, #degree-sheet",
    "FORM, #tank-sheet",
    "LEVELS, #plumb-sheet"
  })
  void aClickOnASheetChangesNothingNorDoesTheOtherButton(Stage stage, String sheet) {
    go(stage);
    Song before = song();
    settle();
    Node node = lookup(sheet).query();
    Bounds area = node.localToScreen(node.getLayoutBounds());
    for (double x = 0.1; x < 1; x += 0.2) {
      for (double y = 0.15; y < 1; y += 0.35) {
        Point2D place =
            new Point2D(
                area.getMinX() + x * area.getWidth(), area.getMinY() + y * area.getHeight());
        clickOn(place);
        menuOn(place);
        push(KeyCode.ESCAPE);
        settle();
      }
    }
    assertThat(song()).as(sheet).isSameAs(before);
    assertThat(lookup("#action-menu").tryQuery()).isEmpty();
  }

  /** A drag that Escape ends leaves the song as it was, on every sheet that is dragged. */
  @ParameterizedTest
  @CsvSource({
    "CHORDS, #chord-card-0, 60, 0",
    "DRUMS, #bead-kick-1, 0, 25",
    "LINES, #note-0, 0, 40",
    "FORM, #tank-1-808-0, 0, -14",
    "LEVELS, #bob-lead, 20, 15"
  })
  void escapeGivesADragBackOnEverySheet(Stage stage, String mark, double right, double down) {
    go(stage);
    Song before = song();
    Point2D from = middle(mark);
    pressAt(from);
    glide(from, from.add(right, down));
    push(KeyCode.ESCAPE);
    release();
    settle();
    assertThat(song()).as(mark).isEqualTo(before);
    assertThat(shell.open().undoable()).isEmpty();
  }

  @Test
  void everyMarkOfASheetHasANameForScreenReaders() {
    for (Stage stage : Stage.values()) {
      go(stage);
      interact(
          () ->
              lookup(".drawing").queryAll().stream()
                  .flatMap(sheet -> ((Parent) sheet).getChildrenUnmodifiable().stream())
                  .filter(mark -> mark.getId() != null && !mark.getId().endsWith("-value"))
                  .forEach(
                      mark ->
                          assertThat(mark.getAccessibleText())
                              .as(stage + " " + mark.getId())
                              .isNotBlank()));
    }
  }

  @ParameterizedTest
  @CsvSource({
    "DRUMS, #bead-sheet, hit",
    "LINES, #degree-sheet, note",
    "FORM, #tank-sheet, tank",
    "LEVELS, #plumb-sheet, bob"
  })
  void marksSayWhatTheyAreAndTheChosenOneHasTheFocus(Stage stage, String sheet, String kind) {
    go(stage);
    focus(sheet);
    Parent drawing = lookup(sheet).query();
    Node mark =
        drawing.getChildrenUnmodifiable().stream()
            .filter(node -> kind.equals(node.getAccessibleRoleDescription()))
            .findFirst()
            .orElseThrow();
    assertThat(mark.getAccessibleRole()).isEqualTo(AccessibleRole.BUTTON);
    String words = mark.getAccessibleText();
    clickOn("#" + mark.getId());
    settle();
    Object[] found = new Object[1];
    interact(() -> found[0] = drawing.queryAccessibleAttribute(AccessibleAttribute.FOCUS_ITEM));
    assertThat(((Node) found[0]).getAccessibleText()).isEqualTo(words);
  }
}
