package westtide.desktop.kit;

import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;

/** The edge between a drawing and its page: pulled, or moved by the arrow keys. */
final class PageHandle extends Region {
  /** How high it is, in pixels. */
  static final double HEIGHT = 9;

  private static final int KEY_STEP = 12;

  private final PageSpace space;
  private double pressedAt;
  private int before;

  PageHandle(PageSpace space) {
    this.space = space;
    getStyleClass().add("page-handle");
    setCursor(Cursor.V_RESIZE);
    setFocusTraversable(true);
    setAccessibleRole(AccessibleRole.SLIDER);
    setAccessibleText("Height of the pages under the drawings; up and down arrows change it");
    setOnMousePressed(this::press);
    setOnMouseDragged(event -> space.reach(before + pressedAt - event.getSceneY()));
    setOnKeyPressed(this::key);
  }

  private void press(MouseEvent event) {
    pressedAt = event.getSceneY();
    before = space.height().get();
    event.consume();
  }

  private void key(KeyEvent event) {
    int by = event.getCode() == KeyCode.UP ? 1 : event.getCode() == KeyCode.DOWN ? -1 : 0;
    if (by != 0) {
      space.reach(space.height().get() + by * KEY_STEP);
      event.consume();
    }
  }
}
