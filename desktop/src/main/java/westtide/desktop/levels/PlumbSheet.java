package westtide.desktop.levels;

import java.util.List;
import java.util.function.ToDoubleFunction;
import javafx.scene.Cursor;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Polygon;
import javafx.scene.text.Text;
import westtide.desktop.kit.Axis;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.NameEditor;
import westtide.desktop.kit.Window;
import westtide.song.Part;
import westtide.song.mix.Mix;

/**
 * The mix as plumb lines: every part hangs from the surface, the quieter the deeper, and swings to
 * the side it is heard on. A ring around the bob grows with what sounds. A drag sets level and pan
 * in one go; the arrow keys do the same for the chosen part.
 */
final class PlumbSheet extends Drawing {
  /** What the sheet asks its room to do. */
  interface Hands {
    void choose(int part);

    void move(Part part, int level, int pan);

    void rename(Part part, String name);

    void reorder(Part part, int to);

    String heard(Part part);

    void mute(Part part);

    void alone(Part part);
  }

  private static final double TOP = 46;
  private static final double FOOT = 26;
  private static final double EDGE = 44;
  private static final double BOB = 11;
  private static final double NARROWEST = 84;

  /** Pixels in which a level and a side find room. */
  private static final double ROOMY = 120;

  private static final int DEEPEST = -360;
  private static final int LEVEL_STEP = 5;
  private static final int PAN_STEP = 5;
  private static final double RING = 16;

  private final Hands hands;
  private List<Part> parts = List.of();
  private List<Circle> rings = List.of();
  private int chosen;
  private boolean held;
  private int firstColumn;
  private int carried = -1;

  PlumbSheet(Hands hands) {
    super("Levels: every part on its plumb line", true);
    this.hands = hands;
    setId("plumb-sheet");
    setOnMousePressed(this::press);
    setOnMouseDragged(this::drag);
    setOnMouseReleased(this::release);
    setOnScroll(this::scroll);
    setOnKeyPressed(this::key);
  }

  void show(List<Part> shown, int selected) {
    boolean moved = selected != chosen;
    parts = shown;
    chosen = selected;
    if (moved) {
      firstColumn = columns().showing(chosen).offset();
    }
    redraw();
  }

  /** Lets the rings grow with the level of each part; nothing is laid out. */
  void sound(ToDoubleFunction<Part> peak) {
    for (int i = 0; i < Math.min(rings.size(), parts.size()); i++) {
      double decibels = 20 * Math.log10(Math.max(1e-6, peak.applyAsDouble(parts.get(i))));
      double share = Math.max(0, Math.min(1, 1 + decibels / 48));
      rings.get(i).setScaleX(1 + share);
      rings.get(i).setScaleY(1 + share);
      rings.get(i).setVisible(share > 0.02);
    }
  }

  private Axis depth() {
    return new Axis(60, DEEPEST, TOP, getHeight() - FOOT);
  }

  private Window columns() {
    return new Window(
        parts.size(), Math.max(NARROWEST, getWidth() - 2 * EDGE), NARROWEST, firstColumn);
  }

  private double column() {
    Window columns = columns();
    return columns.room() / columns.shown();
  }

  private double middle(int index) {
    return EDGE + column() * (index - columns().offset() + 0.5);
  }

  private int indexAt(double x) {
    Window columns = columns();
    int at = columns.offset() + (int) Math.floor((x - EDGE) / column());
    return Math.max(columns.offset(), Math.min(columns.end() - 1, at));
  }

  private void scroll(ScrollEvent event) {
    firstColumn = columns().by(event.getDeltaY() + event.getDeltaX() > 0 ? -1 : 1).offset();
    event.consume();
    redraw();
  }

  /** Opens a field over the name of a part. */
  private void rename(int index) {
    Part part = parts.get(index);
    layout();
    NameEditor.open(
        this,
        "rename-part",
        middle(index) - column() / 2 + 4,
        2,
        Math.max(110, column() - 8),
        part.name(),
        name -> hands.rename(part, name));
  }

  private void release(MouseEvent event) {
    held = false;
    setCursor(null);
    int from = carried;
    carried = -1;
    int to = indexAt(event.getX());
    if (from >= 0 && to != from) {
      hands.reorder(parts.get(from), to);
    }
  }

  private Axis side(int index) {
    double reach = column() / 2 - BOB - 6;
    return new Axis(-100, 100, middle(index) - reach, middle(index) + reach);
  }

  private double bobX(int index) {
    return side(index).at(parts.get(index).mix().pan());
  }

  private double bobY(int index) {
    return depth().at(Math.max(DEEPEST, parts.get(index).mix().level()));
  }

  private void press(MouseEvent event) {
    requestFocus();
    int index = indexAt(event.getX());
    carried = event.getY() < TOP - 8 ? index : -1;
    held = Math.hypot(event.getX() - bobX(index), event.getY() - bobY(index)) < 2 * BOB;
    hands.choose(index);
    if (carried >= 0 && event.getClickCount() == 2) {
      carried = -1;
      rename(index);
    }
  }

  private void drag(MouseEvent event) {
    if (carried >= 0) {
      setCursor(Cursor.H_RESIZE);
    }
    if (!held) {
      return;
    }
    int level = (int) Math.round(depth().value(event.getY()) / LEVEL_STEP) * LEVEL_STEP;
    int pan = (int) Math.round(side(chosen).value(event.getX()) / PAN_STEP) * PAN_STEP;
    move(level, pan);
  }

  private void move(int level, int pan) {
    int heldLevel = level <= DEEPEST ? Mix.SILENT : Math.min(60, level);
    hands.move(parts.get(chosen), heldLevel, Math.max(-100, Math.min(100, pan)));
  }

  private void key(KeyEvent event) {
    if (event.isShortcutDown() || event.isAltDown()) {
      return;
    }
    Mix mix = parts.get(chosen).mix();
    boolean swing = event.isShiftDown();
    switch (event.getCode()) {
      case UP -> move(Math.max(DEEPEST, mix.level()) + LEVEL_STEP, mix.pan());
      case DOWN -> move(mix.level() - LEVEL_STEP, mix.pan());
      case LEFT -> leftOrRight(swing, -1);
      case RIGHT -> leftOrRight(swing, 1);
      case M -> hands.mute(parts.get(chosen));
      case A -> hands.alone(parts.get(chosen));
      case F2 -> rename(chosen);
      default -> {
        return;
      }
    }
    event.consume();
  }

  private void leftOrRight(boolean swing, int way) {
    if (swing) {
      Mix mix = parts.get(chosen).mix();
      move(mix.level(), mix.pan() + way * PAN_STEP);
    } else {
      hands.choose(Math.max(0, Math.min(parts.size() - 1, chosen + way)));
    }
  }

  @Override
  protected void draw() {
    if (parts.isEmpty()) {
      return;
    }
    drawDepths();
    rings = parts.stream().map(part -> new Circle(RING)).toList();
    Window columns = columns();
    firstColumn = columns.offset();
    for (int i = columns.offset(); i < columns.end(); i++) {
      drawLine(i);
    }
    if (columns.scrolls()) {
      String shown = (columns.offset() + 1) + "–" + columns.end();
      text(0, 17, shown, "soft");
      String rest = "of " + columns.count();
      named(text(0, 33, rest, "soft"), "parts-in-view", "parts " + shown + " " + rest);
    }
  }

  private void drawDepths() {
    Axis y = depth();
    for (int level = 0; level >= DEEPEST; level -= 60) {
      String style = level == 0 ? "home" : "faint";
      line(EDGE - 8, y.at(level), getWidth() - EDGE + 8, y.at(level), "rule", style);
      String words = level == DEEPEST ? "silent" : (level == 0 ? "0 dB" : "−" + -level / 10);
      textEnding(EDGE - 12, y.at(level) + 4, words, "soft");
    }
  }

  private void drawLine(int index) {
    Part part = parts.get(index);
    double x = bobX(index);
    double y = bobY(index);
    boolean isChosen = index == chosen;
    if (isChosen) {
      box(middle(index) - column() / 2 + 3, 0, column() - 6, getHeight() - 2, "band", "pick");
    }
    Text name =
        text(middle(index) - column() / 2 + 10, 17, part.name(), isChosen ? "bold" : "plain");
    named(name, "part-name-" + part.id(), part.name());
    fit(name, column() - 18);
    String heard = hands.heard(part);
    fit(
        text(
            middle(index) - column() / 2 + 10,
            33,
            heard.isEmpty() ? part.patch().instrument() : heard,
            heard.isEmpty() ? "soft" : "alarm"),
        column() - 18);
    line(middle(index), TOP - 4, x, y - BOB, "plumb");
    add(rings.get(index), "plumb-ring");
    rings.get(index).setCenterX(x);
    rings.get(index).setCenterY(y);
    rings.get(index).setManaged(false);
    rings.get(index).setVisible(false);
    box(middle(index) - 5, TOP - 7, 10, 4, "bob", "plain");
    Polygon bob = new Polygon(points(x, y));
    add(bob, "bob", isChosen ? "chosen" : "plain");
    named(bob, "bob-" + part.id(), part.name() + ", " + told(part.mix()));
    if (isChosen) {
      ring(x - BOB - 5, y - BOB - 5, 2 * BOB + 10, 2 * BOB + 10);
    }
    String words = column() < ROOMY ? level(part.mix()) : told(part.mix());
    textCentred(middle(index), getHeight() - 8, column() - 6, words, "soft");
  }

  /** A plumb bob: shoulders above, a point below. */
  private static double[] points(double x, double y) {
    return new double[] {
      x - 4,
      y - BOB,
      x + 4,
      y - BOB,
      x + BOB,
      y - 4,
      x + BOB - 2,
      y + 4,
      x,
      y + 1.6 * BOB,
      x - BOB + 2,
      y + 4,
      x - BOB,
      y - 4
    };
  }

  /** Level and side in words, such as {@code "−11.0 dB · 30 left"}. */
  static String told(Mix mix) {
    if (mix.pan() == 0) {
      return level(mix);
    }
    return level(mix) + " · " + Math.abs(mix.pan()) + (mix.pan() < 0 ? " left" : " right");
  }

  private static String level(Mix mix) {
    return mix.level() == Mix.SILENT
        ? "silent"
        : String.format(java.util.Locale.ROOT, "%.1f dB", mix.level() / 10.0).replace('-', '−');
  }
}
