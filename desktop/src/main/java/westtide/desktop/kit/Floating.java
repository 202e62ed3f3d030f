package westtide.desktop.kit;

import javafx.beans.value.ChangeListener;
import javafx.event.EventHandler;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;

/**
 * A panel that floats over the window beside what it belongs to, and moves nothing. Escape closes
 * it and gives the focus back; so does a press beside it, and the focus going elsewhere.
 */
public final class Floating {
  private static final double GAP = 3;
  private static final double EDGE = 6;

  private final Node owner;
  private final Region content;
  private final Pane host;
  private final Scene scene;
  private final EventHandler<MouseEvent> outside = this::pressed;
  private final ChangeListener<Node> focus = (o, was, is) -> focused(is);
  private boolean open;

  private Floating(Node owner, Region content) {
    this.owner = owner;
    this.content = content;
    this.host = host(owner);
    this.scene = owner.getScene();
  }

  /** Opens a panel under a node, or over it where there is no room below. */
  public static Floating under(Node owner, Region content) {
    Bounds place = owner.localToScene(owner.getLayoutBounds());
    Floating floating = new Floating(owner, content);
    floating.open(place.getMinX(), place.getMaxY() + GAP, place.getMinY() - GAP, place.getWidth());
    return floating;
  }

  /** Opens a panel at a point of a node. */
  public static Floating at(Node owner, double x, double y, Region content) {
    Point2D place = owner.localToScene(x, y);
    Floating floating = new Floating(owner, content);
    floating.open(place.getX(), place.getY(), place.getY(), 0);
    return floating;
  }

  /** The pane that panels and bubbles of a node float on. */
  static Pane host(Node node) {
    for (Node at = node; at != null; at = at.getParent()) {
      if (at instanceof Layer) {
        return (Pane) at;
      }
    }
    Parent root = node.getScene().getRoot();
    return root instanceof Zoomed zoomed ? zoomed.content() : (Pane) root;
  }

  /** Whether a node stands on a layer that Escape leaves. */
  static boolean layered(Node node) {
    return node.getScene() != null && host(node) instanceof Layer;
  }

  /** Lays a region on a pane, inside its edges, without moving what is there. */
  static void lay(
      Pane host, Region region, double sceneX, double below, double above, double least) {
    region.setManaged(false);
    if (region.getParent() == null) {
      host.getChildren().add(region);
    }
    region.applyCss();
    double wanted = Math.max(pixels(host, least), region.prefWidth(-1));
    double width = Math.min(host.getWidth() - 2 * EDGE, wanted);
    double height = Math.min(host.getHeight() - 2 * EDGE, region.prefHeight(width));
    Point2D under = host.sceneToLocal(sceneX, below);
    double over = host.sceneToLocal(sceneX, above).getY() - height;
    boolean fits = under.getY() + height <= host.getHeight() - EDGE || over < EDGE;
    double y = fits ? Math.min(under.getY(), host.getHeight() - EDGE - height) : over;
    double x = Math.max(EDGE, Math.min(host.getWidth() - EDGE - width, under.getX()));
    region.resizeRelocate(x, y, width, height);
  }

  /** Pixels of a pane for pixels of the scene. */
  private static double pixels(Pane host, double scenePixels) {
    return host.sceneToLocal(scenePixels, 0).getX() - host.sceneToLocal(0, 0).getX();
  }

  private void open(double x, double below, double above, double least) {
    open = true;
    content.getStyleClass().add("floating");
    lay(host, content, x, below, above, least);
    content.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    scene.addEventFilter(MouseEvent.MOUSE_PRESSED, outside);
    scene.focusOwnerProperty().addListener(focus);
  }

  /** Closes the panel and gives the focus back to what it belongs to. */
  public void close() {
    if (open) {
      end();
      owner.requestFocus();
    }
  }

  private void end() {
    open = false;
    scene.removeEventFilter(MouseEvent.MOUSE_PRESSED, outside);
    scene.focusOwnerProperty().removeListener(focus);
    host.getChildren().remove(content);
  }

  private void key(KeyEvent event) {
    if (event.getCode() == KeyCode.ESCAPE) {
      close();
      event.consume();
    }
  }

  private void pressed(MouseEvent event) {
    if (!(event.getTarget() instanceof Node node && Controls.holds(content, node))) {
      close();
    }
  }

  private void focused(Node now) {
    if (open && now != null && !Controls.holds(content, now)) {
      end();
    }
  }
}
