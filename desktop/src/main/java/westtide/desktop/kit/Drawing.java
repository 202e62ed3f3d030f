package westtide.desktop.kit;

import java.util.ArrayList;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.event.Event;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/**
 * A sheet that draws itself anew for its size. Marks are nodes with style classes and, where they
 * stand for something a person made, an id and accessible text; the sheet itself takes mouse and
 * keys, so that a drag goes on while marks are replaced.
 */
public abstract class Drawing extends Pane {
  private final Line head = new Line();
  private final List<Sounding> soundings = new ArrayList<>();
  private boolean stale = true;

  /**
   * A sheet known to screen readers by a name.
   *
   * @param keys whether it takes the focus; a scroll pane around it is then not told that the mouse
   *     was pressed, or it would take the focus for itself
   */
  protected Drawing(String name, boolean keys) {
    getStyleClass().add("drawing");
    setAccessibleRole(AccessibleRole.PARENT);
    setAccessibleText(name);
    setFocusTraversable(keys);
    if (keys) {
      addEventHandler(MouseEvent.MOUSE_PRESSED, Event::consume);
    }
    setMinSize(0, 0);
    head.getStyleClass().add("here");
    head.setManaged(false);
    head.setMouseTransparent(true);
    head.setVisible(false);
    widthProperty().addListener((o, was, is) -> redraw());
    heightProperty().addListener((o, was, is) -> redraw());
    focusedProperty().addListener((o, was, is) -> redraw());
  }

  /** Draws on an empty sheet of {@link #getWidth()} by {@link #getHeight()} pixels. */
  protected abstract void draw();

  /** Asks for a new drawing before the next frame. */
  public final void redraw() {
    stale = true;
    requestLayout();
  }

  @Override
  protected final void layoutChildren() {
    if (stale && getWidth() > 0 && getHeight() > 0) {
      stale = false;
      getChildren().clear();
      soundings.clear();
      draw();
      head.setEndY(playFoot());
      getChildren().add(head);
    }
    super.layoutChildren();
  }

  /**
   * Moves the play head to a tick of what the sheet shows and lights the marks that sound there;
   * nothing is laid out for it.
   */
  public final void playAt(double tick) {
    head.setTranslateX(playX(tick));
    head.setVisible(true);
    for (Sounding mark : soundings) {
      mark.light(tick >= mark.from && tick < mark.to);
    }
  }

  /** Takes the play head away. */
  public final void playNowhere() {
    if (head.isVisible()) {
      head.setVisible(false);
      soundings.forEach(mark -> mark.light(false));
    }
  }

  /** The pixel of a tick of what the sheet shows; sheets with a play head say where it is. */
  protected double playX(double tick) {
    return 0;
  }

  /** The pixel the play head ends at. */
  protected double playFoot() {
    return getHeight();
  }

  /** Says that a mark stands for sound between two ticks of what the sheet shows. */
  protected void sounds(Node mark, double from, double to) {
    soundings.add(new Sounding(mark, from, to));
  }

  /** A mark and when it sounds. */
  private static final class Sounding {
    private static final PseudoClass LIT = PseudoClass.getPseudoClass("lit");

    private final Node mark;
    private final double from;
    private final double to;
    private boolean lit;

    Sounding(Node mark, double from, double to) {
      this.mark = mark;
      this.from = from;
      this.to = to;
    }

    void light(boolean on) {
      if (on != lit) {
        lit = on;
        mark.pseudoClassStateChanged(LIT, on);
      }
    }
  }

  /** Adds a line. */
  protected Line line(double x1, double y1, double x2, double y2, String... classes) {
    return add(new Line(x1, y1, x2, y2), classes);
  }

  /** Adds a rectangle. */
  protected Rectangle box(double x, double y, double width, double height, String... classes) {
    return add(new Rectangle(x, y, Math.max(0, width), Math.max(0, height)), classes);
  }

  /** Adds a disc. */
  protected Circle dot(double x, double y, double radius, String... classes) {
    return add(new Circle(x, y, radius), classes);
  }

  /** Adds text whose baseline starts at a point. */
  protected Text text(double x, double y, String words, String... classes) {
    Text text = add(new Text(x, y, words), classes);
    text.getStyleClass().add("mark-text");
    return text;
  }

  /** Adds text that ends at a point. */
  protected Text textEnding(double x, double y, String words, String... classes) {
    Text text = text(x, y, words, classes);
    text.applyCss();
    text.setX(x - text.getLayoutBounds().getWidth());
    return text;
  }

  /** Adds text centred on a point, or nothing when it is wider than {@code most}. */
  protected void textCentred(double x, double y, double most, String words, String... classes) {
    Text text = text(x, y, words, classes);
    text.applyCss();
    double width = text.getLayoutBounds().getWidth();
    text.setX(x - width / 2);
    if (width > most) {
      getChildren().remove(text);
    }
  }

  /** Shortens a text until it is no wider than {@code most}; takes it away when nothing is left. */
  protected void fit(Text text, double most) {
    text.applyCss();
    String words = text.getText();
    while (text.getLayoutBounds().getWidth() > most && words.length() > 1) {
      words = words.substring(0, words.length() - 1);
      text.setText(words.strip() + "…");
    }
    if (text.getLayoutBounds().getWidth() > most) {
      getChildren().remove(text);
    }
  }

  /** Draws the visible focus around a stretch of the sheet while the sheet has it. */
  protected void ring(double x, double y, double width, double height) {
    if (isFocused()) {
      Rectangle ring = box(x, y, width, height, "focus-ring");
      ring.setArcWidth(8);
      ring.setArcHeight(8);
    }
  }

  /** Names a mark for tests and screen readers. */
  protected static <N extends Node> N named(N node, String id, String words) {
    node.setId(id);
    node.setAccessibleText(words);
    return node;
  }

  /** Adds any mark. */
  protected <N extends Node> N add(N node, String... classes) {
    node.getStyleClass().addAll(classes);
    node.setMouseTransparent(true);
    getChildren().add(node);
    return node;
  }
}
