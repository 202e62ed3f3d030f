package westtide.desktop.kit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import javafx.css.PseudoClass;
import javafx.event.Event;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/**
 * A sheet that draws itself anew for its size. Marks are nodes with style classes and, where they
 * stand for something a person made, an id and accessible text; the sheet itself takes mouse and
 * keys, so that a drag goes on while marks are replaced.
 */
public abstract class Drawing extends Pane {
  private static final double NARROWEST = 0.45;
  private static final double DESIGNED_FOR = 13;
  private static final double CLEAR_BELOW = 0.2;
  private static final double CLEAR_ABOVE = 0.95;

  private final Line head = new Line();
  private final Text gauge = new Text();
  private final ReadOnlyDoubleWrapper textScale = new ReadOnlyDoubleWrapper(1);
  private final Marks marks = new Marks();
  private final List<Sounding> soundings = new ArrayList<>();
  private boolean stale = true;
  private Optional<Node> atFocus = Optional.empty();

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
    gauge.getStyleClass().add("mark-text");
    gauge.setManaged(false);
    gauge.setVisible(false);
    getChildren().add(gauge);
    textScale.bind(gauge.fontProperty().map(font -> font.getSize() / DESIGNED_FOR));
    textScale.addListener((o, was, is) -> redraw());
    widthProperty().addListener((o, was, is) -> redraw());
    heightProperty().addListener((o, was, is) -> redraw());
    focusedProperty().addListener((o, was, is) -> redraw());
  }

  /** How large text is against the size the sheets are designed for, 0.9 to 2. */
  public final ReadOnlyDoubleProperty textScaleProperty() {
    return textScale.getReadOnlyProperty();
  }

  /** Pixels that leave as much room around text of the chosen size as these do at 100 %. */
  protected final double scaled(double pixels) {
    return pixels * textScale.get();
  }

  /** Draws on an empty sheet of {@link #getWidth()} by {@link #getHeight()} pixels. */
  protected abstract void draw();

  /** Asks for a new drawing before the next frame; controls that lie on the sheet stay. */
  public final void redraw() {
    stale = true;
    requestLayout();
  }

  @Override
  protected final void layoutChildren() {
    if (stale && getWidth() > 0 && getHeight() > 0) {
      stale = false;
      soundings.forEach(mark -> mark.light(false));
      soundings.clear();
      marks.begin();
      atFocus = Optional.empty();
      draw();
      head.setEndY(playFoot());
      keep();
    }
    super.layoutChildren();
  }

  /** Takes away what is no longer drawn; what is drawn lies in the order it was drawn in. */
  private void keep() {
    List<Node> gone = marks.end();
    if (!gone.isEmpty()) {
      getChildren().removeAll(gone);
    }
    if (head.getParent() == null) {
      head.setViewOrder(-Marks.MOST);
      getChildren().add(head);
    }
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

  /** Keeps the height a sheet was designed with, grown with the text. */
  protected void keepHeight(double designed) {
    setPrefHeight(scaled(designed));
    setMinHeight(USE_PREF_SIZE);
    textScaleProperty().addListener((o, was, is) -> setPrefHeight(scaled(designed)));
  }

  /** Adds a line. */
  protected Line line(double x1, double y1, double x2, double y2, String... classes) {
    Line line = mark(Line.class, classes, Line::new);
    line.setStartX(x1);
    line.setStartY(y1);
    line.setEndX(x2);
    line.setEndY(y2);
    return line;
  }

  /** Adds a rectangle. */
  protected Rectangle box(double x, double y, double width, double height, String... classes) {
    Rectangle box = mark(Rectangle.class, classes, Rectangle::new);
    box.setX(x);
    box.setY(y);
    box.setWidth(Math.max(0, width));
    box.setHeight(Math.max(0, height));
    box.setArcWidth(0);
    box.setArcHeight(0);
    return box;
  }

  /** Adds a disc. */
  protected Circle dot(double x, double y, double radius, String... classes) {
    Circle dot = mark(Circle.class, classes, Circle::new);
    dot.setCenterX(x);
    dot.setCenterY(y);
    dot.setRadius(radius);
    return dot;
  }

  /** Adds text whose baseline starts at a point. */
  protected Text text(double x, double y, String words, String... classes) {
    String[] all = Arrays.copyOf(classes, classes.length + 1);
    all[classes.length] = "mark-text";
    Text text = mark(Text.class, all, Text::new);
    text.setX(x);
    text.setY(y);
    text.setScaleX(1);
    text.setTranslateX(0);
    text.setText(words);
    return text;
  }

  /** Adds text under another, as near as both can be read at any size. */
  protected Text textBelow(Text above, String words, String... classes) {
    Text text = text(above.getX(), above.getY(), words, classes);
    text.setY(
        above.getY()
            + CLEAR_BELOW * above.getFont().getSize()
            + CLEAR_ABOVE * text.getFont().getSize());
    return text;
  }

  /** Adds a closed shape through points given as x, y, x, y … */
  protected Polygon polygon(double[] points, String... classes) {
    Polygon shape = mark(Polygon.class, classes, Polygon::new);
    List<Double> wanted = Arrays.stream(points).boxed().toList();
    if (!shape.getPoints().equals(wanted)) {
      shape.getPoints().setAll(wanted);
    }
    return shape;
  }

  /** Adds a line through points given as x, y, x, y … */
  protected Polyline polyline(double[] points, String... classes) {
    Polyline shape = mark(Polyline.class, classes, Polyline::new);
    List<Double> wanted = Arrays.stream(points).boxed().toList();
    if (!shape.getPoints().equals(wanted)) {
      shape.getPoints().setAll(wanted);
    }
    return shape;
  }

  /** A mark that was there, or a new one, in the scene so that its style can be measured. */
  private <N extends Node> N mark(Class<N> shape, String[] classes, Supplier<N> fresh) {
    N node = marks.take(shape, classes, fresh);
    if (node.getParent() == null) {
      getChildren().add(node);
      node.applyCss();
    }
    return node;
  }

  /** Lays a mark over all that are drawn so far. */
  protected void raise(Node mark) {
    marks.raise(mark);
  }

  /** Takes a mark out of the drawing again. */
  protected void remove(Node mark) {
    marks.remove(mark);
  }

  /** Adds text that ends at a point. */
  protected Text textEnding(double x, double y, String words, String... classes) {
    Text text = text(x, y, words, classes);
    text.setX(x - text.getLayoutBounds().getWidth());
    return text;
  }

  /** Adds text centred on a point, or nothing when it is wider than {@code most}. */
  protected void textCentred(double x, double y, double most, String words, String... classes) {
    Text text = text(x, y, words, classes);
    double width = text.getLayoutBounds().getWidth();
    text.setX(x - width / 2);
    if (width > most) {
      marks.remove(text);
    }
  }

  /** Shortens a text until it is no wider than {@code most}; takes it away when nothing is left. */
  protected void fit(Text text, double most) {
    String words = text.getText();
    double width = text.getLayoutBounds().getWidth();
    if (width > most && words.length() > 1) {
      int kept = (int) Math.max(1, Math.min(words.length() - 1, words.length() * most / width));
      text.setText(words.substring(0, kept).strip() + "…");
    }
    while (text.getLayoutBounds().getWidth() > most && text.getText().length() > 2) {
      String shorter = text.getText().substring(0, text.getText().length() - 2);
      text.setText(shorter.strip() + "…");
    }
    if (text.getLayoutBounds().getWidth() > most) {
      marks.remove(text);
    }
  }

  /**
   * Writes a text narrower until it is no wider than {@code most}, for what must keep all its
   * signs, such as a chord; takes it away when it could not be read.
   */
  protected void squeeze(Text text, double most) {
    double width = text.getLayoutBounds().getWidth();
    double scale = Math.min(1, most / width);
    if (scale < NARROWEST) {
      marks.remove(text);
    } else if (scale < 1) {
      text.setScaleX(scale);
      text.setTranslateX((scale - 1) * width / 2);
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

  /** Draws the outline of what is chosen. */
  protected void chosenRing(double x, double y, double width, double height) {
    Rectangle ring = box(x, y, width, height, "chosen-ring");
    ring.setArcWidth(8);
    ring.setArcHeight(8);
  }

  /** Names a mark for tests and screen readers. */
  protected <N extends Node> N named(N node, String id, String words) {
    marks.name(node);
    node.setId(id);
    node.setAccessibleText(words);
    return node;
  }

  /**
   * Names a mark that a person works on, so that a screen reader says what kind of thing it is, and
   * that the chosen one has the focus.
   *
   * @param kind what it is, such as {@code "note"}
   * @param words its name, value and place
   */
  protected <N extends Node> N thing(N node, String id, String kind, String words, boolean chosen) {
    named(node, id, words);
    node.setAccessibleRole(AccessibleRole.BUTTON);
    node.setAccessibleRoleDescription(kind);
    if (chosen) {
      atFocus = Optional.of(node);
    }
    return node;
  }

  @Override
  public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
    return attribute == AccessibleAttribute.FOCUS_ITEM && isFocused() && atFocus.isPresent()
        ? atFocus.get()
        : super.queryAccessibleAttribute(attribute, parameters);
  }

  /** Adds any mark. */
  protected <N extends Node> N add(N node, String... classes) {
    node.getStyleClass().addAll(classes);
    node.setMouseTransparent(true);
    marks.add(node);
    getChildren().add(node);
    return node;
  }
}
