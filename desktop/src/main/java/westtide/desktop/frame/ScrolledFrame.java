package westtide.desktop.frame;

import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import westtide.desktop.kit.Controls;

/**
 * The frame of the window, which scrolls where the window, as with large text, has less room than
 * the rooms need. What gets the focus comes into view; keys that scroll a pane elsewhere do not
 * scroll this one, since they belong to the sheets.
 */
public final class ScrolledFrame extends StackPane {
  private static final double NARROWEST = 1000;
  private static final double LOWEST = 640;

  private final Region frame;
  private final ScrollPane scroll = new ScrollPane();

  /** A frame that scrolls when it must. */
  public ScrolledFrame(Region frame) {
    this.frame = frame;
    scroll.setId("frame-scroll");
    scroll.setFitToWidth(true);
    scroll.setFitToHeight(true);
    scroll.setFocusTraversable(false);
    scroll.setMinSize(0, 0);
    getChildren().add(frame);
    frame.addEventHandler(KeyEvent.KEY_PRESSED, this::keep);
    widthProperty().addListener((o, was, is) -> fit());
    heightProperty().addListener((o, was, is) -> fit());
    sceneProperty()
        .addListener(
            (o, was, is) -> is.focusOwnerProperty().addListener((p, before, owner) -> show(owner)));
  }

  /** What moves into or out of the scroll pane while it is laid out is laid out once more. */
  private void fit() {
    boolean scrolls = NARROWEST > getWidth() || LOWEST > getHeight();
    frame.setMinSize(scrolls ? NARROWEST : 0, scrolls ? LOWEST : 0);
    if (scrolls && scroll.getContent() == null) {
      getChildren().clear();
      scroll.setContent(frame);
      getChildren().setAll(scroll);
      Platform.runLater(frame::requestLayout);
    } else if (!scrolls && scroll.getContent() != null) {
      scroll.setContent(null);
      getChildren().setAll(frame);
      Platform.runLater(frame::requestLayout);
    }
  }

  private void keep(KeyEvent event) {
    KeyCode code = event.getCode();
    boolean scrolls = code.isNavigationKey() || code == KeyCode.SPACE;
    if (scroll.getContent() != null && scrolls) {
      event.consume();
    }
  }

  private void show(Node owner) {
    if (scroll.getContent() == null || !Controls.holds(frame, owner)) {
      return;
    }
    Bounds at = frame.sceneToLocal(owner.localToScene(owner.getLayoutBounds()));
    Bounds view = scroll.getViewportBounds();
    scroll.setHvalue(
        value(scroll.getHvalue(), at.getMinX(), at.getMaxX(), frame.getWidth(), view.getWidth()));
    scroll.setVvalue(
        value(scroll.getVvalue(), at.getMinY(), at.getMaxY(), frame.getHeight(), view.getHeight()));
  }

  /** How far to scroll, 0 to 1, so that a stretch of the whole lies in the view. */
  private static double value(double now, double from, double to, double whole, double view) {
    double hidden = whole - view;
    if (hidden <= 0) {
      return 0;
    }
    double start = now * hidden;
    double wanted = Math.min(from, Math.max(start, to - view));
    return Math.max(0, Math.min(1, wanted / hidden));
  }
}
