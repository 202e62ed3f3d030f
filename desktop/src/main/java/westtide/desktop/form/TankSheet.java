package westtide.desktop.form;

import java.util.List;
import java.util.Optional;
import javafx.scene.Cursor;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.shape.Polyline;
import javafx.scene.text.Text;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.NameEditor;
import westtide.desktop.kit.Window;
import westtide.song.Cell;
import westtide.song.CellSpan;
import westtide.song.Level;
import westtide.song.Part;
import westtide.song.PatternWords;
import westtide.song.Section;
import westtide.song.Song;
import westtide.song.id.PartId;

/**
 * The form as tanks: the level of the water is how full a part plays. A click or drag fills a tank
 * to where the mouse is; the arrows walk from tank to tank, plus and minus fill and drain. Parts
 * are renamed by a double click on their name and reordered by dragging it. Of many parts and
 * sections those in view are drawn, the wheel moves on.
 */
final class TankSheet extends Drawing {
  /** What the sheet asks its room to do. Sections, parts and bars count from 0. */
  interface Hands {
    void fill(int section, PartId part, int fromBar, Level level);

    void select(int section, Part part);

    void chosen(int section, PartId part, int fromBar);

    void rename(Part part, String name);

    void reorder(Part part, int to);
  }

  private static final double LEFT = TankLayout.LEFT;
  private static final double TOP = TankLayout.TOP;

  private final Hands hands;
  private Optional<Song> song = Optional.empty();
  private int selected;
  private int row;
  private int fromBar;
  private int firstRow;
  private int firstColumn;
  private int carried = -1;

  TankSheet(Hands hands) {
    super("The form: what each part does in each section", true);
    this.hands = hands;
    setId("tank-sheet");
    setOnMousePressed(this::press);
    setOnMouseDragged(this::drag);
    setOnMouseReleased(this::release);
    setOnScroll(this::scroll);
    setOnKeyPressed(this::key);
  }

  void show(Song shown, int section, Part part) {
    boolean moved = section != selected || song.isEmpty();
    int before = row;
    song = Optional.of(shown);
    selected = section;
    row = Math.max(0, shown.parts().indexOf(part));
    fromBar = cell().fromBar();
    if (moved || before != row) {
      bringIntoView();
    }
    redraw();
  }

  Part part() {
    return song.orElseThrow().parts().get(row);
  }

  Cell cell() {
    return sections().get(selected).cell(part().id(), fromBar);
  }

  private List<Section> sections() {
    return song.orElseThrow().form().sections();
  }

  private void bringIntoView() {
    firstRow = place().rows().showing(row).offset();
    firstColumn = place().columns().showing(selected).offset();
  }

  private TankLayout place() {
    return new TankLayout(song.orElseThrow(), getWidth(), getHeight(), firstRow, firstColumn);
  }

  @Override
  protected double playX(double tick) {
    return place().x(tick);
  }

  private void scroll(ScrollEvent event) {
    if (song.isEmpty()) {
      return;
    }
    int by = event.getDeltaY() + event.getDeltaX() > 0 ? -1 : 1;
    boolean across =
        event.isShiftDown() || Math.abs(event.getDeltaX()) > Math.abs(event.getDeltaY());
    if (across || !place().rows().scrolls()) {
      firstColumn = place().columns().by(by).offset();
    } else {
      firstRow = place().rows().by(by).offset();
    }
    event.consume();
    redraw();
  }

  private void press(MouseEvent event) {
    requestFocus();
    carried = -1;
    if (song.isEmpty()) {
      return;
    }
    if (event.getX() < LEFT && event.getY() >= TOP) {
      pressName(event);
    } else if (pick(event)) {
      fillTo(event.getY());
    }
  }

  /** The name of a part: chosen by a click, renamed by two, carried elsewhere by a drag. */
  private void pressName(MouseEvent event) {
    int at = place().rowAt(event.getY());
    if (at >= song.orElseThrow().parts().size()) {
      return;
    }
    carried = at;
    Part part = song.orElseThrow().parts().get(at);
    hands.select(selected, part);
    if (event.getClickCount() == 2) {
      carried = -1;
      rename(part);
    }
  }

  /** Opens a field over the name of a part in view. */
  void rename(Part part) {
    int at = song.orElseThrow().parts().indexOf(part);
    double y = place().top(at) + place().rowHeight() / 2 - 20;
    layout();
    NameEditor.open(
        this, "rename-part", 2, y, LEFT - 6, part.name(), name -> hands.rename(part, name));
  }

  private void drag(MouseEvent event) {
    if (carried >= 0) {
      setCursor(Cursor.V_RESIZE);
      return;
    }
    if (event.getY() > TOP && event.getX() > LEFT && song.isPresent()) {
      fillTo(event.getY());
    }
  }

  private void release(MouseEvent event) {
    setCursor(null);
    if (carried < 0 || song.isEmpty()) {
      return;
    }
    List<Part> parts = song.get().parts();
    int to = Math.max(0, Math.min(parts.size() - 1, place().rowAt(event.getY())));
    int from = carried;
    carried = -1;
    if (to != from) {
      hands.reorder(parts.get(from), to);
    }
  }

  /** Puts the cursor under the mouse; true when it is on a tank. */
  private boolean pick(MouseEvent event) {
    Optional<TankLayout.Place> under = place().placeAt(event.getX());
    return under.isPresent() && pick(under.get(), event.getY());
  }

  private boolean pick(TankLayout.Place under, double y) {
    int at = place().rowAt(y);
    boolean tank = y >= TOP && at < place().rows().end();
    row = tank ? at : row;
    selected = under.section();
    int bar = sections().get(selected).cell(part().id(), under.bar()).fromBar();
    hands.select(selected, part());
    fromBar = bar;
    tell();
    return tank;
  }

  private void fillTo(double y) {
    double share = 1 - (y - place().top(row)) / place().rowHeight();
    int index = (int) Math.floor(share * Level.values().length);
    fill(Level.values()[Math.max(0, Math.min(Level.values().length - 1, index))]);
  }

  private void fill(Level level) {
    if (cell().level() != level) {
      hands.fill(selected, part().id(), fromBar, level);
      tell();
    }
  }

  private void key(KeyEvent event) {
    if (song.isEmpty() || event.isShortcutDown() || event.isAltDown()) {
      return;
    }
    switch (event.getCode()) {
      case LEFT -> walk(-1);
      case RIGHT -> walk(1);
      case UP -> walkRows(-1);
      case DOWN -> walkRows(1);
      case F2 -> rename(part());
      case PLUS, EQUALS, ADD -> fill(cell().level().fuller());
      case MINUS, SUBTRACT -> fill(cell().level().emptier());
      case ENTER -> fill(cycled());
      default -> {
        if (!digit(event.getCode())) {
          return;
        }
      }
    }
    event.consume();
    if (event.getCode() == KeyCode.F2) {
      return;
    }
    fromBar = cell().fromBar();
    bringIntoView();
    tell();
    redraw();
  }

  private void walkRows(int by) {
    int to = Math.max(0, Math.min(song.orElseThrow().parts().size() - 1, row + by));
    if (to != row) {
      row = to;
      hands.select(selected, part());
    }
  }

  private boolean digit(KeyCode code) {
    if (!code.isDigitKey()) {
      return false;
    }
    int level = Integer.parseInt(code.getChar());
    if (level >= Level.values().length) {
      return false;
    }
    fill(Level.values()[level]);
    return true;
  }

  private Level cycled() {
    Level[] levels = Level.values();
    return levels[(cell().level().ordinal() + 1) % levels.length];
  }

  /** To the next or last cell of the part, across the boundaries of sections. */
  private void walk(int direction) {
    List<Cell> cells = sections().get(selected).cells(part().id());
    int at = 0;
    for (int i = 0; i < cells.size(); i++) {
      at = cells.get(i).fromBar() == fromBar ? i : at;
    }
    int next = at + direction;
    if (next >= 0 && next < cells.size()) {
      fromBar = cells.get(next).fromBar();
      return;
    }
    int section = selected + direction;
    if (section >= 0 && section < sections().size()) {
      selected = section;
      List<Cell> other = sections().get(section).cells(part().id());
      fromBar = other.get(direction > 0 ? 0 : other.size() - 1).fromBar();
      int bar = fromBar;
      hands.select(section, part());
      fromBar = bar;
    }
  }

  private void tell() {
    hands.chosen(selected, part().id(), fromBar);
  }

  @Override
  protected void draw() {
    if (song.isEmpty()) {
      return;
    }
    Song shown = song.get();
    TankLayout place = place();
    Window rows = place.rows();
    Window columns = place.columns();
    firstRow = rows.offset();
    firstColumn = columns.offset();
    double[] edges = place.edges();
    double bottom = place.top(rows.end());
    int picked = selected - columns.offset();
    if (picked >= 0 && picked < columns.shown()) {
      box(edges[picked], 0, edges[picked + 1] - edges[picked], bottom + 4, "band", "pick");
    }
    for (int i = rows.offset(); i < rows.end(); i++) {
      drawPartName(shown.parts().get(i), i);
    }
    for (int i = 0; i < columns.shown(); i++) {
      int section = columns.offset() + i;
      drawHeader(shown, section, edges[i], edges[i + 1]);
      for (int p = rows.offset(); p < rows.end(); p++) {
        drawTanks(shown.parts().get(p), p, section, edges[i], edges[i + 1]);
      }
      line(edges[i], 2, edges[i], bottom + 12, "rule", "bar");
      if (section > 0) {
        drawBoundary(edges[i], bottom + 14);
      }
    }
    drawMore(rows, columns, bottom);
  }

  /** Says which parts and sections are in view where not all are. */
  private void drawMore(Window rows, Window columns, double bottom) {
    if (rows.scrolls()) {
      String words = "parts " + (rows.offset() + 1) + "–" + rows.end() + " of " + rows.count();
      named(text(6, bottom + 18, words, "soft"), "rows-in-view", words);
    }
    if (columns.scrolls()) {
      String words =
          "sections " + (columns.offset() + 1) + "–" + columns.end() + " of " + columns.count();
      named(text(6, 17, words, "soft"), "sections-in-view", words);
    }
  }

  private void drawPartName(Part part, int index) {
    double y = place().top(index) + place().rowHeight() / 2;
    Text name = text(6, y, part.name(), index == row ? "bold" : "plain");
    named(name, "part-name-" + part.id(), part.name());
    fit(name, LEFT - 14);
    fit(text(6, y + 15, habit(part), "soft"), LEFT - 14);
  }

  private String habit(Part part) {
    return PatternWords.usual(part, song.orElseThrow());
  }

  private void drawHeader(Song shown, int index, double left, double right) {
    Section section = sections().get(index);
    Text name = text(left + 5, 17, shown.form().label(index), "section");
    named(name, "section-" + index, shown.form().label(index) + ", " + section.bars() + " bars");
    fit(name, right - left - 7);
    Text bars = text(left + 5, 34, section.bars() + (right - left > 56 ? " bars" : ""), "soft");
    fit(bars, right - left - 7);
  }

  private void drawBoundary(double x, double y) {
    polygon(new double[] {x, y - 6, x + 5, y, x, y + 6, x - 5, y}, "boundary");
  }

  private void drawTanks(Part part, int index, int sectionIndex, double left, double right) {
    Section section = sections().get(sectionIndex);
    double bar = (right - left) / section.bars();
    for (CellSpan span : section.spans(part.id())) {
      double from = left + bar * span.fromBar();
      double to = left + bar * span.endBar();
      double gap = Math.min(3, (to - from) / 8);
      drawTank(part, index, sectionIndex, span.cell(), from + gap, to - gap);
    }
  }

  private void drawTank(Part part, int index, int sectionIndex, Cell cell, double from, double to) {
    double top = place().top(index) + 4;
    double bottom = top + place().rowHeight() - 9;
    double water = bottom - TankWater.share(cell.level()) * (bottom - top);
    box(from, top, to - from, bottom - top, "tank");
    if (cell.level() != Level.OUT) {
      polygon(TankWater.outline(from, to, water, bottom), "water-" + cell.level());
    }
    Polyline wall =
        polyline(
            new double[] {from, top, from, bottom, to, bottom, to, top},
            "tank-wall",
            cell.level() == Level.OUT ? "out" : "in");
    String id = "tank-" + sectionIndex + "-" + part.id() + "-" + cell.fromBar();
    named(wall, id, part.name() + ", " + cell.level());
    String words = cell.level() == Level.OUT ? "" : cell.level().toString();
    boolean special = !part.variant(cell.variant()).equals(part.usual());
    if (special && to - from > 92) {
      words = words + " · " + cell.variant();
    }
    boolean deep = cell.level() == Level.LIFTED;
    textCentred((from + to) / 2, bottom - 6, to - from - 4, words, deep ? "on-deep" : "soft");
    if (sectionIndex == selected && index == row && cell.fromBar() == fromBar) {
      ring(from - 2, top - 2, to - from + 4, bottom - top + 5);
    }
  }
}
