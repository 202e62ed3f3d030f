package westtide.desktop.levels;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.function.UnaryOperator;
import javafx.scene.input.ScrollEvent;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.text.Text;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.NameEditor;
import westtide.desktop.kit.Window;
import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.song.Part;
import westtide.song.mix.Duck;
import westtide.song.mix.Mix;

/**
 * The mix as plumb lines: every part hangs from the surface, the quieter the deeper, and swings to
 * the side it is heard on. A ring around the bob grows with what sounds. A drag sets level and pan
 * in one go; the arrow keys do the same for the chosen part.
 */
final class MixSheet extends Drawing {
  /** What the sheet asks its room to do. */
  interface Actions {
    void choose(int part);

    /** Sets level and side of parts, in one edit. */
    void move(Map<Part, Place> places);

    void rename(Part part, String name);

    void reorder(Part part, int to);

    String heard(Part part);

    void mute(Part part);

    void alone(Part part);
  }

  /**
   * Where a bob hangs.
   *
   * @param level in tenths of a dB
   * @param pan −100 left to 100 right
   */
  record Place(int level, int pan) {
    Place held() {
      int heldLevel = level <= DEEPEST ? Mix.SILENT : Math.min(60, level);
      return new Place(heldLevel, Math.max(-100, Math.min(100, pan)));
    }
  }

  private static final double TOP = 46;
  private static final double ASIDE = 5;
  private static final double FOOT = 26;
  private static final double EDGE = 44;
  private static final double BOB = 11;
  private static final double NARROWEST = 55;

  /** Pixels in which a level and a side find room. */
  private static final double ROOMY = 120;

  static final int DEEPEST = -360;
  static final int LEVEL_STEP = 5;
  static final int PAN_STEP = 5;
  private static final double RING = 16;
  private static final int NOTCH_POINTS = 20;

  private final Actions actions;
  private final MixHandles gestures;
  private List<Part> parts = List.of();
  private List<Circle> rings = List.of();
  private int chosen;
  private int firstColumn;
  private Set<BobMark> more = Set.of();

  MixSheet(Actions actions) {
    super("Levels: every part on its plumb line", true);
    this.actions = actions;
    setId("plumb-sheet");
    this.gestures = new MixHandles(this, actions);
    SheetGestures.on(this, gestures);
    setOnScroll(this::scroll);
  }

  /** What can be done here and by which keys. */
  KeyTable keys() {
    return gestures.keys();
  }

  void show(List<Part> shown, int selected) {
    boolean moved = selected != chosen;
    parts = shown;
    chosen = selected;
    if (more.stream().noneMatch(mark -> mark.index() == selected)) {
      more = Set.of(new BobMark(selected, false));
    }
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

  int indexAt(double x) {
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
  void rename(int index) {
    Part part = parts.get(index);
    layout();
    NameEditor.open(
        this,
        "rename-part",
        middle(index) - column() / 2 + 4,
        2,
        Math.max(110, column() - 8),
        part.name(),
        name -> actions.rename(part, name));
  }

  private Axis side(int index) {
    double reach = column() / 2 - BOB - 6;
    return new Axis(-100, 100, middle(index) - reach, middle(index) + reach);
  }

  double bobX(int index) {
    return side(index).at(parts.get(index).mix().pan());
  }

  double bobY(int index) {
    return depth().at(Math.max(DEEPEST, parts.get(index).mix().level()));
  }

  List<Part> parts() {
    return parts;
  }

  int chosen() {
    return chosen;
  }

  /** Chooses bobs or a name; the last of them is the one shown below. */
  void choose(Set<BobMark> marks) {
    int last =
        marks.stream()
            .filter(mark -> !more.contains(mark) || marks.size() == 1)
            .map(BobMark::index)
            .findFirst()
            .orElse(chosen);
    more = Set.copyOf(marks);
    actions.choose(last);
    redraw();
  }

  Set<BobMark> marks() {
    return more.isEmpty() ? Set.of(new BobMark(chosen, false)) : more;
  }

  /** Whether a point is on the bob of a part. */
  boolean onBob(int index, double x, double y) {
    return Math.hypot(x - bobX(index), y - bobY(index)) < 2 * BOB;
  }

  /** Whether a point is in the row of names. */
  boolean onNames(double y) {
    return y < TOP - 8;
  }

  /** The level at a height, in tenths of a dB. */
  int levelAt(double y) {
    return (int) Math.round(depth().value(y) / LEVEL_STEP) * LEVEL_STEP;
  }

  /** The side at a distance from the left, −100 to 100. */
  int panAt(int index, double x) {
    return (int) Math.round(side(index).value(x) / PAN_STEP) * PAN_STEP;
  }

  /** Sets level and side of the chosen parts by what they were, held inside their ranges. */
  void move(Map<Part, Mix> before, UnaryOperator<Place> to) {
    Map<Part, Place> places = new LinkedHashMap<>();
    before.forEach(
        (part, mix) ->
            places.put(
                part, to.apply(new Place(Math.max(DEEPEST, mix.level()), mix.pan())).held()));
    actions.move(places);
  }

  /** The chosen parts and their mixes as they are now. */
  Map<Part, Mix> mixes() {
    Map<Part, Mix> out = new LinkedHashMap<>();
    marks().forEach(mark -> out.put(parts.get(mark.index()), parts.get(mark.index()).mix()));
    return out;
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

  /** A name too long for its column goes on where its instrument would stand. */
  private void drawName(Part part, int index) {
    double most = column() - 2 * ASIDE;
    Text name =
        text(
            middle(index) - column() / 2 + ASIDE,
            17,
            part.name(),
            index == chosen ? "bold" : "plain");
    named(name, "part-name-" + part.id(), part.name());
    String heard = actions.heard(part);
    String below = heard.isEmpty() ? part.patch().instrument() : heard;
    int space = part.name().lastIndexOf(' ');
    if (heard.isEmpty() && space > 0 && name.getLayoutBounds().getWidth() > most) {
      name.setText(part.name().substring(0, space));
      below = part.name().substring(space + 1);
    }
    fit(name, most);
    fit(textBelow(name, below, heard.isEmpty() ? "soft" : "alarm"), most);
  }

  private void drawLine(int index) {
    Part part = parts.get(index);
    double x = bobX(index);
    double y = bobY(index);
    boolean isChosen = index == chosen;
    if (isChosen) {
      box(middle(index) - column() / 2 + 3, 0, column() - 6, getHeight() - 2, "band", "pick");
    }
    drawName(part, index);
    strip(part, index, x, y);
    add(rings.get(index), "plumb-ring");
    rings.get(index).setCenterX(x);
    rings.get(index).setCenterY(y);
    rings.get(index).setManaged(false);
    rings.get(index).setVisible(false);
    box(middle(index) - 5, TOP - 7, 10, 4, "bob", "plain");
    Polygon bob = new Polygon(points(x, y));
    add(bob, "bob", isChosen ? "chosen" : "plain");
    thing(bob, "bob-" + part.id(), "bob", part.name() + ", " + description(part.mix()), isChosen);
    if (more.contains(new BobMark(index, false))) {
      chosenRing(x - BOB - 4, y - BOB - 4, 2 * BOB + 8, 2.6 * BOB + 8);
    }
    if (isChosen) {
      ring(x - BOB - 7, y - BOB - 7, 2 * BOB + 14, 2.6 * BOB + 14);
    }
    String words = column() < ROOMY ? level(part.mix()) : description(part.mix());
    textCentred(middle(index), getHeight() - 8, column() - 6, words, "soft");
  }

  /**
   * What is set beside level and pan, drawn on the cord: its thickness is the width, a ring the
   * room, dots to the side the repeats, a notch below the ducking.
   */
  private void strip(Part part, int index, double x, double y) {
    Mix mix = part.mix();
    Line cord = line(middle(index), TOP - 4, x, y - BOB, "plumb");
    cord.setStrokeWidth(1.3 + mix.width() / 12.0);
    if (mix.reverb() > 0) {
      dot(x, y + 3, BOB + 2 + mix.reverb() / 8.0, "plumb-room");
    }
    int repeats = mix.delay() == 0 ? 0 : 1 + mix.delay() / 20;
    for (int i = 0; i < Math.min(4, repeats); i++) {
      dot(x + BOB + 8 + 9 * i, y + 4 + 2 * i, 3.4 - 0.7 * i, "plumb-repeat");
    }
    Duck duck = mix.duck();
    if (duck.trigger() != Duck.Trigger.NONE && y + 40 < getHeight() - FOOT) {
      polyline(notch(duck, x, y + 24), "plumb-notch");
    }
  }

  /** The gain of the ducking over its time. */
  private static double[] notch(Duck duck, double x, double y) {
    double[] out = new double[2 * (NOTCH_POINTS + 1)];
    double millis = duck.hold() + duck.millis();
    for (int i = 0; i <= NOTCH_POINTS; i++) {
      double share = i / (double) NOTCH_POINTS;
      double down = i == 0 ? 0 : -duck.gain((share - 0.1) * millis / 0.9);
      out[2 * i] = x - 18 + 36 * share;
      out[2 * i + 1] = y + Math.min(12, down);
    }
    return out;
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
  static String description(Mix mix) {
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
