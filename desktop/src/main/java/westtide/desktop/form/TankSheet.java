package westtide.desktop.form;

import java.util.List;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.CubicCurveTo;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.Polygon;
import javafx.scene.text.Text;
import westtide.desktop.kit.Drawing;
import westtide.song.Cell;
import westtide.song.CellSpan;
import westtide.song.Level;
import westtide.song.Part;
import westtide.song.Section;
import westtide.song.Song;

/**
 * The form as tanks: the level of the water is how full a part plays. A click or drag fills a tank
 * to where the mouse is; the arrows walk from tank to tank, plus and minus fill and drain.
 */
final class TankSheet extends Drawing {
  /** What the sheet asks its room to do. Sections, parts and bars count from 0. */
  interface Hands {
    void fill(int section, String part, int fromBar, Level level);

    void select(int section);

    void chosen(int section, String part, int fromBar);
  }

  private static final double LEFT = 104;
  private static final double TOP = 46;
  private static final double FOOT = 26;
  private static final double NARROWEST = 40;

  private final Hands hands;
  private Optional<Song> song = Optional.empty();
  private int selected;
  private int row;
  private int fromBar;

  TankSheet(Hands hands) {
    super("The form: what each part does in each section", true);
    this.hands = hands;
    setId("tank-sheet");
    setOnMousePressed(this::press);
    setOnMouseDragged(this::drag);
    setOnKeyPressed(this::key);
  }

  void show(Song shown, int section) {
    song = Optional.of(shown);
    selected = section;
    row = Math.min(row, shown.parts().size() - 1);
    fromBar = cell().fromBar();
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

  /**
   * Left edges of the sections and the right end of the last: to scale, but none too narrow to use.
   */
  private double[] edges() {
    List<Section> sections = sections();
    double width = getWidth() - LEFT - 8;
    double spare = Math.max(0, width - NARROWEST * sections.size());
    int bars = song.orElseThrow().form().bars();
    double least = Math.min(NARROWEST, width / sections.size());
    double[] out = new double[sections.size() + 1];
    out[0] = LEFT;
    for (int i = 0; i < sections.size(); i++) {
      out[i + 1] = out[i] + least + spare * sections.get(i).bars() / bars;
    }
    return out;
  }

  @Override
  protected double playX(double tick) {
    Song shown = song.orElseThrow();
    int bar = shown.brief().meter().ticksPerBar();
    int section = shown.form().sectionAt((int) Math.min(shown.form().bars() - 1, tick / bar));
    double share = (tick / bar - shown.form().startBar(section)) / sections().get(section).bars();
    double[] edges = edges();
    return edges[section] + share * (edges[section + 1] - edges[section]);
  }

  private double rowHeight() {
    return Math.min(74, (getHeight() - TOP - FOOT) / song.orElseThrow().parts().size());
  }

  private void press(MouseEvent event) {
    requestFocus();
    if (!pick(event)) {
      return;
    }
    fillTo(event.getY());
  }

  private void drag(MouseEvent event) {
    if (event.getY() > TOP) {
      fillTo(event.getY());
    }
  }

  /** Puts the cursor under the mouse; true when it is on a tank. */
  private boolean pick(MouseEvent event) {
    double[] edges = edges();
    for (int i = 0; i < sections().size(); i++) {
      if (event.getX() >= edges[i] && event.getX() < edges[i + 1]) {
        int at = (int) ((event.getY() - TOP) / rowHeight());
        boolean tank = event.getY() >= TOP && at < song.orElseThrow().parts().size();
        row = tank ? at : row;
        double share = (event.getX() - edges[i]) / (edges[i + 1] - edges[i]);
        int bar = (int) (share * sections().get(i).bars());
        selected = i;
        fromBar = sections().get(i).cell(part().id(), bar).fromBar();
        hands.select(i);
        tell();
        return tank;
      }
    }
    return false;
  }

  private void fillTo(double y) {
    double height = rowHeight();
    double share = 1 - (y - TOP - row * height) / height;
    int index = (int) Math.floor(share * Level.values().length);
    Level level = Level.values()[Math.max(0, Math.min(Level.values().length - 1, index))];
    fill(level);
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
      case UP -> row = Math.max(0, row - 1);
      case DOWN -> row = Math.min(song.get().parts().size() - 1, row + 1);
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
    fromBar = cell().fromBar();
    tell();
    redraw();
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
      hands.select(section);
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
    double[] edges = edges();
    double bottom = TOP + rowHeight() * shown.parts().size();
    box(edges[selected], 0, edges[selected + 1] - edges[selected], bottom + 4, "band", "pick");
    for (int i = 0; i < shown.parts().size(); i++) {
      drawPartName(shown.parts().get(i), i);
    }
    for (int i = 0; i < sections().size(); i++) {
      drawHeader(shown, i, edges[i], edges[i + 1]);
      for (int p = 0; p < shown.parts().size(); p++) {
        drawTanks(shown.parts().get(p), p, i, edges[i], edges[i + 1]);
      }
      line(edges[i], 2, edges[i], bottom + 12, "rule", "bar");
      if (i > 0) {
        drawBoundary(edges[i], bottom + 14);
      }
    }
  }

  private void drawPartName(Part part, int index) {
    double y = TOP + rowHeight() * (index + 0.5);
    fit(text(6, y, part.name(), index == row ? "bold" : "plain"), LEFT - 14);
    text(6, y + 15, habit(part), "soft");
  }

  private static String habit(Part part) {
    return switch (part.role()) {
      case CHORDS -> "chords";
      case LEAD -> "written line";
      case DRUMS -> "grooves";
      case SUB -> "roots and kick";
      case BASS -> "follows chords";
    };
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
    add(new Polygon(x, y - 6, x + 5, y, x, y + 6, x - 5, y), "boundary");
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
    double top = TOP + rowHeight() * index + 4;
    double bottom = top + rowHeight() - 9;
    double[] share = {0, 0.24, 0.5, 0.78, 1};
    double water = bottom - share[cell.level().ordinal()] * (bottom - top);
    box(from, top, to - from, bottom - top, "tank");
    if (cell.level() != Level.OUT) {
      add(waves(from, to, water, bottom), "water-" + cell.level());
    }
    Path wall =
        add(
            new Path(
                new MoveTo(from, top),
                new LineTo(from, bottom),
                new LineTo(to, bottom),
                new LineTo(to, top)),
            "tank-wall",
            cell.level() == Level.OUT ? "out" : "in");
    String id = "tank-" + sectionIndex + "-" + part.id() + "-" + cell.fromBar();
    named(wall, id, part.name() + ", " + cell.level());
    String words = cell.level() == Level.OUT ? "" : cell.level().toString();
    boolean special =
        !cell.variant().equals(part.variants().get(0).name()) && !cell.variant().isEmpty();
    if (special && to - from > 92) {
      words = words + " · " + cell.variant();
    }
    boolean deep = cell.level() == Level.LIFTED;
    textCentred((from + to) / 2, bottom - 6, to - from - 4, words, deep ? "on-deep" : "soft");
    if (sectionIndex == selected && index == row && cell.fromBar() == fromBar) {
      ring(from - 2, top - 2, to - from + 4, bottom - top + 5);
    }
  }

  private static Path waves(double from, double to, double water, double bottom) {
    Path path = new Path(new MoveTo(from, bottom), new LineTo(from, water));
    int waves = Math.max(1, (int) Math.round((to - from) / 44));
    double length = (to - from) / waves;
    for (int i = 0; i < waves; i++) {
      double x = from + i * length;
      path.getElements()
          .add(
              new CubicCurveTo(
                  x + length / 3, water + 4, x + 2 * length / 3, water - 4, x + length, water));
    }
    path.getElements().add(new LineTo(to, bottom));
    path.setStroke(null);
    return path;
  }
}
