package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;
import westtide.song.line.Note;

/** Notes of a line by mouse and by keys. */
class LinesRoomTest extends TrapSongTest {
  @Test
  void aNoteIsPlacedMovedLengthenedAndDeletedByMouse() {
    go(Stage.LINES);
    List<Note> before = line();
    Point2D last = middle("#note-0");
    Node sheet = lookup("#degree-sheet").query();
    double bar = (sheet.getLayoutBounds().getWidth() - 58) / 4;
    Point2D empty = new Point2D(last.getX() + bar * 2.85, last.getY() + 60);
    clickOn(empty);
    settle();
    assertThat(line()).as("a click only sets the cursor").isEqualTo(before);
    waitOutDoubleClick();
    doubleClickOn(empty);
    settle();
    assertThat(line()).hasSize(before.size() + 1);
    Note placed = line().stream().filter(n -> !before.contains(n)).findFirst().orElseThrow();
    assertThat(placed.ticks()).isEqualTo(480);
    drag(empty, empty.add(bar / 4, 0));
    settle();
    assertThat(line()).contains(placed.withStart(placed.start() + 960));
    assertHas(words("#lines-summary"), "2 steps");
    push(KeyCode.SHIFT, KeyCode.RIGHT);
    settle();
    assertThat(line()).contains(placed.withStart(placed.start() + 960).withTicks(720));
    push(KeyCode.DELETE);
    settle();
    assertThat(line()).isEqualTo(before);
  }

  @Test
  void theRightEndOfANoteIsDraggedToLengthenItInOneStep() {
    go(Stage.LINES);
    Note first = line().get(0);
    Node node = lookup("#note-0").query();
    var bounds = node.localToScreen(node.getLayoutBounds());
    Node sheet = lookup("#degree-sheet").query();
    double step = (sheet.getLayoutBounds().getWidth() - 58) / 64;
    Point2D end = new Point2D(bounds.getMaxX() - 2, bounds.getCenterY());
    drag(end, end.add(2 * step, 0));
    settle();
    assertThat(line().get(0)).isEqualTo(first.withTicks(first.ticks() + 480));
    press("#undo");
    assertThat(line().get(0)).isEqualTo(first);
  }

  @Test
  void theLineIsTransposedAndDraftedAnew() {
    go(Stage.LINES);
    List<Integer> keys = line().stream().map(Note::key).toList();
    press("#octave-up", "#line-down");
    assertThat(line()).extracting(Note::key).isEqualTo(keys.stream().map(k -> k + 11).toList());
    press("#line-take");
    waitFor(() -> line().size() != keys.size() || line().get(0).key() != keys.get(0) + 11);
    press("#undo", "#undo", "#undo");
    assertThat(line()).extracting(Note::key).isEqualTo(keys);
  }

  @Test
  void aNoteIsWrittenByKeys() {
    go(Stage.LINES);
    int size = line().size();
    interact(() -> lookup("#degree-sheet").query().requestFocus());
    push(KeyCode.UP);
    push(KeyCode.UP);
    push(KeyCode.RIGHT);
    push(KeyCode.ENTER);
    settle();
    assertThat(line()).hasSize(size + 1);
    Note placed = line().stream().filter(n -> n.start() == 240).findFirst().orElseThrow();
    push(KeyCode.DOWN);
    settle();
    assertThat(line()).filteredOn(n -> n.start() == 240).allMatch(n -> n.key() < placed.key());
  }
}
