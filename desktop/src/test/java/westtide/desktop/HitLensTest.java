package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.event.Event;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.PickResult;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;
import westtide.song.Song;

/** The lens over the chosen hit: what is drawn in it is pulled, and is one step each. */
class HitLensTest extends WindowTest {
  private static final String BEAD = "#bead-closed_hat-11";

  @Override
  boolean pagesOpen() {
    return false;
  }

  @Override
  void begin() {
    shell.begin(demo(0));
  }

  @BeforeEach
  void lookAtARoll() {
    go(Stage.DRUMS);
    assertThat(shown("#hit-lens")).as("nothing was chosen by hand yet").isFalse();
    clickOn(BEAD);
    settle();
    assertThat(shown("#hit-lens")).isTrue();
  }

  private void pull(String mark, double x, double y) {
    Point2D from = middle(mark);
    drag(from, from.add(x, y));
  }

  @Test
  void velocitySlopeStrokesTimeAndChanceArePulled() {
    Song before = song();
    assertHas(words("#hit-summary"), "Closed hat · 9.3.3", "roll of 6, rising velocity");
    pull("#lens-strokes", -42, 0);
    assertHas(words("#hit-summary"), "roll of 3");
    pull("#lens-slope", 0, 40);
    assertHas(words("#hit-summary"), "falling velocity");
    pull("#lens-offset", 20, 0);
    assertHas(words("#hit-summary"), "ticks off the grid");
    pull("#lens-chance", 0, 40);
    assertHas(words("#hit-summary"), "chance 60 %");
    press("#undo", "#undo", "#undo", "#undo");
    assertThat(song()).isEqualTo(before);
  }

  @Test
  void exactOpensTheFiguresAndTheLensGoes() {
    clickOn("#lens-exact");
    settle();
    assertThat(seen("#hit-velocity")).isTrue();
    assertThat(shown("#hit-lens")).isFalse();
    clickOn("#drum-page-hit");
    settle();
    assertThat(seen("#hit-velocity")).isFalse();
    assertThat(shell.appearance().memory().pages()).isFalse();
  }

  @Test
  void itGoesAlongWithTheCursorAndLeavesEmptySteps() {
    push(KeyCode.RIGHT);
    assertThat(shown("#hit-lens")).isFalse();
    push(KeyCode.RIGHT);
    assertThat(shown("#hit-lens")).isTrue();
  }

  /** Pressed on one step and let go seven steps on, with nothing told in between. */
  @Test
  void whereTheButtonIsLetGoCounts() {
    Node sheet = lookup("#bead-sheet").query();
    double step = (middle("#bead-kick-7").getX() - middle("#bead-kick-1").getX()) / 6;
    Point2D from = sheet.localToScene(sheet.screenToLocal(middle("#bead-clap-9").add(2 * step, 0)));
    long before = claps();
    interact(
        () -> {
          fire(sheet, MouseEvent.MOUSE_PRESSED, from);
          fire(sheet, MouseEvent.MOUSE_RELEASED, from.add(6 * step, 0));
        });
    settle();
    assertThat(claps()).isEqualTo(before + 7);
  }

  private long claps() {
    return lookup("#bead-sheet").query().lookupAll("*").stream()
        .filter(node -> node.getId() != null && node.getId().startsWith("bead-clap-"))
        .count();
  }

  private static void fire(Node sheet, EventType<MouseEvent> type, Point2D at) {
    boolean down = type == MouseEvent.MOUSE_PRESSED;
    PickResult where = new PickResult(sheet, at.getX(), at.getY());
    Event.fireEvent(
        sheet,
        new MouseEvent(
            type,
            at.getX(),
            at.getY(),
            0,
            0,
            MouseButton.PRIMARY,
            1,
            false,
            false,
            false,
            false,
            down,
            false,
            false,
            false,
            false,
            true,
            where));
  }
}
