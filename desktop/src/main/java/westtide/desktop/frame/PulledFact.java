package westtide.desktop.frame;

import java.util.function.IntConsumer;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import westtide.desktop.kit.Controls;

/**
 * A figure of the top bar that is edited where it stands: pulled up and down, by the wheel, or by
 * the arrows once it was clicked; a double click, or Enter, types it. It takes no focus by itself:
 * arrows that nobody meant for it change nothing.
 */
final class PulledFact extends Label {
  private static final double A_STEP = 6;

  private final IntConsumer nudge;
  private final Runnable type;
  private double from;
  private int done;

  /**
   * A figure.
   *
   * @param id its id
   * @param name what it is, with its step
   * @param nudge takes steps up, or down below 0
   * @param type brings up the field it is typed in
   */
  PulledFact(String id, String name, IntConsumer nudge, Runnable type) {
    this.nudge = nudge;
    this.type = type;
    setId(id);
    getStyleClass().addAll("figure", "pulled-fact");
    setCursor(Cursor.V_RESIZE);
    setAccessibleRole(AccessibleRole.SPINNER);
    setAccessibleText(name);
    Controls.explained(
        this, name + ": pull it up or down, turn the wheel, or double-click to type it");
    setOnMousePressed(this::press);
    setOnMouseDragged(this::pull);
    setOnScroll(this::turn);
    setOnKeyPressed(this::key);
  }

  private void press(MouseEvent event) {
    requestFocus();
    from = event.getScreenY();
    done = 0;
    if (event.getButton() == MouseButton.PRIMARY && event.getClickCount() == 2) {
      type.run();
    }
  }

  private void pull(MouseEvent event) {
    int steps = (int) ((from - event.getScreenY()) / A_STEP);
    if (steps != done) {
      nudge.accept(steps - done);
      done = steps;
    }
  }

  private void turn(ScrollEvent event) {
    if (event.getDeltaY() != 0) {
      nudge.accept(event.getDeltaY() > 0 ? 1 : -1);
      event.consume();
    }
  }

  private void key(KeyEvent event) {
    if (event.isAltDown() || event.isShortcutDown()) {
      return;
    }
    if (event.getCode() == KeyCode.UP || event.getCode() == KeyCode.DOWN) {
      nudge.accept(event.getCode() == KeyCode.UP ? 1 : -1);
      event.consume();
    } else if (event.getCode() == KeyCode.ENTER) {
      type.run();
      event.consume();
    }
  }
}
