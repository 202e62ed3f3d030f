package westtide.desktop.open;

import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import westtide.desktop.kit.Layer;

/**
 * A panel in front of the window, over a veil: one at a time, Escape leaves it, and the focus goes
 * back to where it was.
 */
public final class Overlay extends StackPane implements Panels, Layer {
  private Node focusedBefore;
  private boolean leavable;
  private Runnable afterwards = () -> {};

  /** An overlay with nothing in it. */
  public Overlay() {
    getStyleClass().add("veil");
    setId("overlay");
    setVisible(false);
    setFocusTraversable(true);
    sceneProperty().addListener((o, was, is) -> keepFocus(is));
    addEventHandler(
        KeyEvent.KEY_PRESSED,
        event -> {
          if (event.getCode() == KeyCode.ESCAPE && leavable) {
            close();
            event.consume();
          }
        });
  }

  /** Shows a panel in the middle that Escape leaves. */
  @Override
  public void open(Region panel) {
    show(panel, true);
    panel.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    StackPane.setAlignment(panel, Pos.CENTER);
    panel.applyCss();
    boolean higher = getHeight() > 0 && panel.prefHeight(panel.prefWidth(-1)) > getHeight();
    if (higher) {
      getChildren().setAll(scrolling(panel));
    }
  }

  /** A panel that is higher than the window, as with large text, scrolls. */
  private static ScrollPane scrolling(Region panel) {
    StackPane middle = new StackPane(panel);
    ScrollPane scroll = new ScrollPane(middle);
    scroll.setFitToWidth(true);
    scroll.setFitToHeight(true);
    scroll.setFocusTraversable(false);
    scroll.getStyleClass().add("over-veil");
    return scroll;
  }

  /**
   * Shows a panel over the whole window; Escape leaves it only when there is something to go back
   * to.
   */
  public void openWhole(Region panel, boolean escapable) {
    show(panel, escapable);
    panel.setMaxSize(Double.MAX_VALUE, Double.MAX_VALUE);
  }

  /** Runs something whenever a panel was left and no other one came in its place. */
  public void whenLeft(Runnable then) {
    afterwards = then;
  }

  @Override
  public void close() {
    if (!isVisible()) {
      return;
    }
    setVisible(false);
    getChildren().clear();
    if (focusedBefore != null) {
      focusedBefore.requestFocus();
    }
    Platform.runLater(
        () -> {
          if (!isVisible()) {
            afterwards.run();
          }
        });
  }

  /** Whether something lies in front of the window. */
  public boolean isOpen() {
    return isVisible();
  }

  private void show(Region panel, boolean escapable) {
    if (!isVisible() && getScene() != null) {
      focusedBefore = getScene().getFocusOwner();
    }
    leavable = escapable;
    getChildren().setAll(panel);
    setVisible(true);
    requestFocus();
  }

  /** Brings the focus back when the Tab key would take it behind the veil. */
  private void keepFocus(Scene scene) {
    scene
        .focusOwnerProperty()
        .addListener(
            (o, was, is) -> {
              if (isVisible() && is != null && !inside(is)) {
                requestFocus();
              }
            });
  }

  private boolean inside(Node node) {
    for (Node at = node; at != null; at = at.getParent()) {
      if (at == this || at instanceof Messages) {
        return true;
      }
    }
    return false;
  }
}
