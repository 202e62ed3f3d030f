package westtide.desktop.form;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.input.ScrollEvent;
import javafx.scene.shape.Polyline;
import javafx.scene.text.Text;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.NameEditor;
import westtide.desktop.kit.SheetGestures;
import westtide.desktop.kit.Window;
import westtide.song.Cell;
import westtide.song.CellSpan;
import westtide.song.Level;
import westtide.song.Part;
import westtide.song.PatternDescription;
import westtide.song.Section;
import westtide.song.Song;
import westtide.song.Transition;
import westtide.song.id.PartId;

/**
 * The form as tanks: the level of the water is how full a part plays. A click chooses a tank, a
 * drag sets its water. Parts are renamed by a double click on their name and reordered by dragging
 * it. Of many parts and sections those in view are drawn, the wheel moves on.
 */
final class TankSheet extends Drawing {
  /** What the sheet asks its room to do. Sections, parts and bars count from 0. */
  interface Actions {
    /** Sets the level of tanks. */
    void fill(List<TankMark> tanks, Level level);

    /** Lets tanks play as another does: its level and its pattern. */
    void pour(Cell like, List<TankMark> tanks);

    void select(int section, Part part);

    void chosen(int section, PartId part, int fromBar);

    void rename(Part part, String name);

    void reorder(Part part, int to);
  }

  private static final double LEFT = TankLayout.LEFT;

  private final Actions actions;
  private final TankMarks marks;
  private int closer = 1;
  private Optional<Song> song = Optional.empty();
  private int selected;
  private int row;
  private int fromBar;
  private int firstRow;
  private int firstColumn;
  private Set<TankMark> chosen = Set.of();

  TankSheet(Actions actions) {
    super("The form: what each part does in each section", true);
    this.actions = actions;
    setId("tank-sheet");
    this.marks = new TankMarks(this, actions);
    SheetGestures.on(this, marks);
    setOnScroll(this::scroll);
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
    if (!chosen.contains(TankMark.name(row)) || chosen.size() > 1) {
      TankMark here = new TankMark(selected, row, fromBar);
      chosen = chosen.contains(here) ? chosen : Set.of(here);
    }
    redraw();
  }

  /** What can be done here and by which keys. */
  KeyTable keys() {
    return marks.keys();
  }

  Song song() {
    return song.orElseThrow();
  }

  Part part() {
    return song.orElseThrow().parts().get(row);
  }

  Cell cell() {
    return sections().get(selected).cell(part().id(), fromBar);
  }

  List<Section> sections() {
    return song.orElseThrow().form().sections();
  }

  void bringIntoView() {
    firstRow = place().rows().showing(row).offset();
    firstColumn = place().columns().showing(selected).offset();
  }

  TankLayout place() {
    return new TankLayout(
        song.orElseThrow(),
        getWidth(),
        getHeight(),
        textScaleProperty().get(),
        closer,
        firstRow,
        firstColumn);
  }

  @Override
  protected double playX(double tick) {
    return place().x(tick);
  }

  /** Fewer sections wider, or more of them narrower. */
  void zoom(boolean nearer) {
    closer = Math.max(1, Math.min(TankLayout.CLOSEST, nearer ? closer * 2 : closer / 2));
    bringIntoView();
    redraw();
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

  int row() {
    return row;
  }

  int selected() {
    return selected;
  }

  int fromBar() {
    return fromBar;
  }

  /** The chosen tanks or name. */
  Set<TankMark> chosen() {
    return chosen;
  }

  /** Chooses tanks, or the name of a part; the last of them is the one that is shown below. */
  void choose(Set<TankMark> marks) {
    for (TankMark mark : marks) {
      if (!chosen.contains(mark) || marks.size() == 1) {
        row = mark.row();
        selected = mark.isName() ? selected : mark.section();
        fromBar = mark.fromBar();
      }
    }
    Set<TankMark> kept = Set.copyOf(marks);
    int bar = fromBar;
    actions.select(selected, part());
    fromBar = bar;
    chosen = kept;
    actions.chosen(selected, part().id(), fromBar);
    redraw();
  }

  /** The chosen tanks, or the one the cursor is on. */
  List<TankMark> tanks() {
    List<TankMark> tanks = chosen.stream().filter(mark -> !mark.isName()).toList();
    return tanks.isEmpty() ? List.of(new TankMark(selected, row, fromBar)) : tanks;
  }

  Cell cell(TankMark mark) {
    Song in = song.orElseThrow();
    return in.form()
        .sections()
        .get(mark.section())
        .cell(in.parts().get(mark.row()).id(), mark.fromBar());
  }

  boolean empty() {
    return song.isEmpty();
  }

  /** Opens a field over the name of a part in view. */
  void rename(Part part) {
    int at = song.orElseThrow().parts().indexOf(part);
    double y = place().top(at) + place().rowHeight() / 2 - 20;
    layout();
    NameEditor.open(
        this, "rename-part", 2, y, LEFT - 6, part.name(), name -> actions.rename(part, name));
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
        drawBoundary(section, edges[i], edges[i + 1], bottom + 14);
      }
    }
    drawMore(rows, columns, bottom);
  }

  /** Says which parts and sections are in view where not all are. */
  private void drawMore(Window rows, Window columns, double bottom) {
    if (rows.scrolls()) {
      String words = "parts " + (rows.offset() + 1) + "–" + rows.end() + " of " + rows.count();
      named(text(6, bottom + scaled(18), words, "soft"), "rows-in-view", words);
    }
    if (columns.scrolls()) {
      String words =
          "sections " + (columns.offset() + 1) + "–" + columns.end() + " of " + columns.count();
      named(text(6, scaled(17), words, "soft"), "sections-in-view", words);
    }
  }

  private void drawPartName(Part part, int index) {
    double y = place().top(index) + place().rowHeight() / 2;
    Text name = text(6, y, part.name(), index == row ? "bold" : "plain");
    named(name, "part-name-" + part.id(), part.name());
    fit(name, LEFT - 14);
    if (chosen.contains(TankMark.name(index))) {
      chosenRing(1, place().top(index) + 4, LEFT - 8, place().rowHeight() - 10);
    }
    fit(textBelow(name, habit(part), "soft"), LEFT - 14);
  }

  private String habit(Part part) {
    return PatternDescription.main(part, song.orElseThrow());
  }

  private void drawHeader(Song shown, int index, double left, double right) {
    Section section = sections().get(index);
    Text name = text(left + 5, scaled(17), shown.form().label(index), "section");
    String words = shown.form().label(index) + ", " + section.bars() + " bars";
    thing(name, "section-" + index, "section", words, false);
    fit(name, right - left - 7);
    Text bars =
        textBelow(name, section.bars() + (right - left > scaled(56) ? " bars" : ""), "soft");
    fit(bars, right - left - 7);
  }

  /** What announces and lands a section, as shapes and in words; a plain diamond where nothing. */
  private void drawBoundary(int index, double x, double right, double y) {
    Section section = sections().get(index);
    String id = "boundary-" + index;
    if (section.entry().isEmpty()) {
      named(
          polygon(new double[] {x, y - 6, x + 5, y, x, y + 6, x - 5, y}, "boundary"),
          id,
          section.title() + ": nothing announces it");
      return;
    }
    int beats = section.bars() * song.orElseThrow().brief().meter().beats();
    TransitionSigns signs = new TransitionSigns(x, (right - x) / beats, y);
    for (TransitionSigns.Sign sign : signs.of(section.entry())) {
      polygon(sign.points(), "transition", sign.style());
    }
    String words =
        section.entry().stream().map(Transition::toString).collect(Collectors.joining(", "));
    Text text =
        text(
            x + 12,
            y + 4,
            section.entry().stream().map(Transition::word).collect(Collectors.joining(" ")),
            "soft");
    fit(text, right - x - 14);
    named(text, id, section.title() + ": " + words);
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
    TankMark mark = new TankMark(sectionIndex, index, cell.fromBar());
    boolean isChosen = chosen.contains(mark);
    String place =
        song.orElseThrow().form().label(sectionIndex) + " from bar " + (cell.fromBar() + 1);
    thing(wall, id, "tank", part.name() + ", " + cell.level() + ", " + place, isChosen);
    String words = cell.level() == Level.OUT ? "" : cell.level().toString();
    boolean special = !part.pattern(cell.pattern()).equals(part.usual());
    if (special) {
      squeeze(text(from + 4, top + scaled(12), cell.pattern(), "soft"), to - from - 7);
    }
    boolean deep = cell.level() == Level.LIFTED;
    textCentred((from + to) / 2, bottom - 6, to - from - 4, words, deep ? "on-deep" : "soft");
    if (isChosen) {
      chosenRing(from - 2, top - 2, to - from + 4, bottom - top + 5);
      ring(from - 4, top - 4, to - from + 8, bottom - top + 9);
    }
  }
}
