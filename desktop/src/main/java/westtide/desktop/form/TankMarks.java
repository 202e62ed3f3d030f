package westtide.desktop.form;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Bounds;
import javafx.scene.Cursor;
import javafx.scene.input.KeyCode;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.Reordering;
import westtide.desktop.kit.SheetGestures;
import westtide.song.Cell;
import westtide.song.Level;
import westtide.song.Part;
import westtide.song.Section;
import westtide.song.Transition;
import westtide.song.edit.FormEdits;

/** Mouse and keys on the tanks: choosing, setting the water, renaming and reordering parts. */
final class TankMarks implements SheetGestures.Sheet<TankMark> {
  private final TankSheet sheet;
  private final TankSheet.Actions actions;
  private final KeyTable keys;
  private Optional<Cell> copied = Optional.empty();

  /** Pixels on either side of a wall in which it is taken hold of. */
  private static final double GRIP = 4;

  /** Pixels up or down that do not count as a change of depth. */
  private static final double DEAD = 8;

  /** The fullest level begins a little below the brim, which a pointer seldom meets. */
  private static final double NEAR_FULL = 0.2;

  TankMarks(TankSheet sheet, TankSheet.Actions actions) {
    this.sheet = sheet;
    this.actions = actions;
    this.keys = table();
  }

  private KeyTable table() {
    return new KeyTable("Tanks of the form")
        .key("tank before", () -> walk(-1), "LEFT")
        .key("next tank", () -> walk(1), "RIGHT")
        .key("part above", () -> walkRows(-1), "UP")
        .key("part below", () -> walkRows(1), "DOWN")
        .keys("level: out, hint, half, full, lifted", "0 … 4", this::digit, "0", "1", "2", "3", "4")
        .menu("fuller", this::tank, () -> fill(cell().level().fuller()), "PAGE_UP")
        .menu("emptier", this::tank, () -> fill(cell().level().emptier()), "PAGE_DOWN")
        .menu("change here", this::tank, this::splitHere, "PLUS", "EQUALS", "ADD")
        .menu("go on as before", this::tank, this::joinHere, "MINUS", "SUBTRACT")
        .key("cursor a beat earlier", () -> moveCursor(-1), "Shift+LEFT")
        .key("cursor a beat later", () -> moveCursor(1), "Shift+RIGHT")
        .menu("next level", this::tank, () -> fill(cycled()), "ENTER")
        .menu("out, or delete the transition", this::tank, this::delete, "DELETE", "BACK_SPACE")
        .menu(
            "copy level and pattern", this::tank, () -> copied = Optional.of(cell()), "Shortcut+C")
        .menu("paste level and pattern", () -> copied.isPresent(), this::paste, "Shortcut+V")
        .menu("choose all tanks of the part", this::tank, this::chooseAll, "Shortcut+A")
        .menu("rename the part", () -> !sheet.empty(), () -> sheet.rename(sheet.part()), "F2");
  }

  @Override
  public void zoom(boolean closer) {
    sheet.zoom(closer);
  }

  @Override
  public KeyTable keys() {
    return keys;
  }

  private boolean tank() {
    return !sheet.empty();
  }

  private Cell cell() {
    return sheet.cell();
  }

  @Override
  public Optional<TankMark> at(double x, double y) {
    if (sheet.empty()) {
      return Optional.empty();
    }
    TankLayout place = sheet.place();
    if (y < place.top()) {
      return x < TankLayout.LEFT
          ? Optional.empty()
          : place.placeAt(x).map(under -> TankMark.head(under.section()));
    }
    if (y >= place.bottom()) {
      return new BoundaryMarks(place)
          .all().stream()
              .filter(sign -> sign.holds(x, y))
              .findFirst()
              .map(
                  sign ->
                      TankMark.sign(
                          sign.section(), sign.mark().bar(), sign.mark().transition().kind()));
    }
    int row = place.rowAt(y);
    if (row >= place.rows().end()) {
      return Optional.empty();
    }
    if (x < TankLayout.LEFT) {
      return Optional.of(TankMark.name(row));
    }
    return place.placeAt(x).map(under -> tank(under, row));
  }

  private TankMark tank(TankLayout.Place under, int row) {
    Cell cell =
        sheet.sections().get(under.section()).cell(part(row).id(), under.bar(), under.beat());
    return new TankMark(under.section(), row, cell.fromBar(), cell.beat());
  }

  private Part part(int row) {
    return sheet.song().parts().get(row);
  }

  @Override
  public Set<TankMark> chosen() {
    return sheet.chosen();
  }

  /** Where a tank is pressed the cursor stands. */
  @Override
  public void pressed(double x, double y) {
    if (!sheet.empty() && x >= TankLayout.LEFT) {
      sheet.place().placeAt(x).ifPresent(sheet::cursorAt);
    }
  }

  /** A part by its name, or tanks; never both. */
  @Override
  public void choose(Set<TankMark> marks) {
    Set<TankMark> tanks = new HashSet<>(marks);
    if (marks.size() > 1) {
      tanks.removeIf(mark -> !mark.isTank());
    }
    sheet.choose(tanks);
  }

  /** A place above or below the tanks chooses the section that is there. */
  @Override
  public void cursor(double x, double y) {
    if (!sheet.empty()) {
      sheet.place().placeAt(x).ifPresent(under -> choose(Set.of(TankMark.head(under.section()))));
    }
  }

  @Override
  public Set<TankMark> within(Bounds frame) {
    Set<TankMark> out = new HashSet<>();
    if (sheet.empty()) {
      return out;
    }
    for (double x = frame.getMinX(); x <= frame.getMaxX(); x += 6) {
      for (double y = frame.getMinY(); y <= frame.getMaxY(); y += 6) {
        at(x, y).filter(TankMark::isTank).ifPresent(out::add);
      }
    }
    return out;
  }

  @Override
  public Cursor hover(double x, double y) {
    return at(x, y).map(mark -> hover(mark, x)).orElse(Cursor.DEFAULT);
  }

  private Cursor hover(TankMark mark, double x) {
    return switch (mark.is()) {
      case NAME -> Cursor.HAND;
      case TANK -> wall(mark, x).isPresent() ? Cursor.H_RESIZE : Cursor.V_RESIZE;
      case HEAD -> atEnd(mark.section(), x) ? Cursor.H_RESIZE : Cursor.MOVE;
      case SIGN -> Cursor.MOVE;
    };
  }

  private boolean atEnd(int section, double x) {
    double beats = sheet.sections().get(section).bars() * (double) beats();
    return Math.abs(x - sheet.place().beatX(section, beats)) <= GRIP + 2;
  }

  private int beats() {
    return sheet.song().brief().meter().beats();
  }

  /** A wall of a tank that is under the pointer: its left one, or the right one of its section. */
  private enum Wall {
    LEFT,
    RIGHT
  }

  private Optional<Wall> wall(TankMark tank, double x) {
    double left =
        sheet.place().beatX(tank.section(), tank.fromBar() * (double) beats() + tank.beat());
    if (Math.abs(x - left) <= GRIP) {
      return Optional.of(Wall.LEFT);
    }
    List<Cell> cells = sheet.sections().get(tank.section()).cells(part(tank.row()).id());
    Cell last = cells.get(cells.size() - 1);
    boolean ends = last.fromBar() == tank.fromBar() && last.beat() == tank.beat();
    return ends && atEnd(tank.section(), x) ? Optional.of(Wall.RIGHT) : Optional.empty();
  }

  @Override
  public void open(TankMark mark) {
    if (mark.isName()) {
      sheet.rename(part(mark.row()));
    } else if (mark.isTank() && sheet.cell(mark).level() == Level.OUT) {
      actions.fill(List.of(mark), Level.FULL);
    }
  }

  @Override
  public Optional<Pull> grab(TankMark mark, double x, double y, boolean alt) {
    return switch (mark.is()) {
      case NAME ->
          Optional.of(
              new Reordering(
                  mark.row(),
                  (px, py) -> rowAt(py),
                  (from, to) -> actions.reorder(part(from), to)));
      case HEAD ->
          Optional.of(
              atEnd(mark.section(), x)
                  ? new Lengthening(mark.section())
                  : new Reordering(
                      mark.section(),
                      (px, py) ->
                          sheet
                              .place()
                              .placeAt(px)
                              .map(TankLayout.Place::section)
                              .orElse(mark.section()),
                      actions::move));
      case SIGN -> Optional.of(new Stretching(mark, x, y));
      case TANK ->
          Optional.of(
              wall(mark, x)
                  .<Pull>map(side -> new MovingWall(mark, side))
                  .orElseGet(() -> new Filling(mark.row())));
    };
  }

  /** A place of a section in words, such as {@code "from bar 5.3"}. */
  private String words(String before, int beat) {
    int inBar = beat % beats();
    return before + " bar " + (beat / beats() + 1) + (inBar == 0 ? "" : "." + (inBar + 1));
  }

  /** The wall of a change follows the pointer; one of a section lets the part enter or leave. */
  private final class MovingWall implements Pull {
    private final TankMark tank;
    private final Wall side;
    private final List<Cell> was;

    MovingWall(TankMark tank, Wall side) {
      this.tank = tank;
      this.side = side;
      this.was = sheet.sections().get(tank.section()).cells(part(tank.row()).id());
    }

    @Override
    public String to(double x, double y) {
      int last = sheet.sections().get(tank.section()).bars() * beats() - 1;
      int beat = Math.max(1, Math.min(last, sheet.place().beatNear(tank.section(), x)));
      int bar = beat / beats();
      int on = beat % beats();
      boolean change = side == Wall.LEFT && (tank.fromBar() > 0 || tank.beat() > 0);
      if (change) {
        actions.arrange(tank, FormEdits.moved(was, tank.fromBar(), tank.beat(), bar, on));
        return words("from", beat);
      }
      actions.arrange(tank, FormEdits.cut(was, bar, on, side == Wall.LEFT));
      return words(side == Wall.LEFT ? "enters at" : "leaves at", beat);
    }
  }

  /** The end of a section follows the pointer, bar by bar. */
  private final class Lengthening implements Pull {
    private final int section;
    private final double perBar;
    private final double start;
    private final Section was;

    Lengthening(int section) {
      this.was = sheet.sections().get(section);
      this.section = section;
      this.start = sheet.place().beatX(section, 0);
      this.perBar = sheet.place().beatX(section, beats()) - start;
    }

    @Override
    public String to(double x, double y) {
      int bars = (int) Math.max(1, Math.round((x - start) / perBar));
      actions.resize(section, bars);
      return sheet.sections().get(section).bars() + " bars";
    }

    @Override
    public void end() {
      actions.resized(was);
    }
  }

  /** A sign grows sideways in beats and up or down in depth. */
  private final class Stretching implements Pull {
    private final TankMark sign;
    private final Transition was;
    private final double fromX;
    private final double fromY;
    private final double perBeat;

    Stretching(TankMark sign, double x, double y) {
      this.sign = sign;
      this.was = sheet.transition(sign).orElseThrow();
      this.fromX = x;
      this.fromY = y;
      this.perBeat =
          sheet.place().beatX(sign.section(), 1) - sheet.place().beatX(sign.section(), 0);
    }

    @Override
    public String to(double x, double y) {
      int way = was.kind().place() == Transition.Place.BEFORE ? -1 : 1;
      int beats = was.beats() + (int) Math.round(way * (x - fromX) / perBeat);
      double away = Math.abs(y - fromY) < DEAD ? 0 : fromY - y;
      Transition now = was.withBeats(beats).withDepth(was.depth() + (int) Math.round(away));
      actions.transition(sign, Optional.of(now));
      return now.beats() + " beats, " + now.depth() + " %";
    }
  }

  /** The water follows the pointer, in all chosen tanks. */
  private final class Filling implements Pull {
    private final int row;
    private final List<TankMark> tanks = sheet.tanks();

    Filling(int row) {
      this.row = row;
    }

    @Override
    public String to(double x, double y) {
      double top = sheet.place().top(row) + TankSheet.ABOVE;
      double high = sheet.place().rowHeight() - TankSheet.ABOVE - TankSheet.BELOW;
      double share = 1 - (y - top) / high;
      Level[] levels = Level.values();
      int index = (int) Math.floor(share * (levels.length + NEAR_FULL));
      Level level = levels[Math.max(0, Math.min(levels.length - 1, index))];
      actions.fill(tanks, level);
      return level.toString();
    }
  }

  private int rowAt(double y) {
    int last = sheet.song().parts().size() - 1;
    return Math.max(0, Math.min(last, sheet.place().rowAt(y)));
  }

  private void fill(Level level) {
    actions.fill(sheet.tanks(), level);
  }

  /** A chosen sign goes; chosen tanks are emptied. */
  private void delete() {
    Optional<TankMark> sign = sheet.sign();
    if (sign.isPresent()) {
      actions.transition(sign.get(), Optional.empty());
    } else {
      fill(Level.OUT);
    }
  }

  private void splitHere() {
    actions.split(here(), sheet.cursorBar(), sheet.cursorBeat());
  }

  private void joinHere() {
    actions.join(here());
  }

  private TankMark here() {
    return new TankMark(sheet.selected(), sheet.row(), sheet.fromBar(), sheet.beat());
  }

  /** The cursor goes a beat on inside the section. */
  private void moveCursor(int by) {
    int beats = beats();
    int last = sheet.sections().get(sheet.selected()).bars() * beats - 1;
    int now = sheet.cursorBar() * beats + sheet.cursorBeat();
    int to = Math.max(0, Math.min(last, now + by));
    sheet.cursorAt(new TankLayout.Place(sheet.selected(), to / beats, to % beats));
    choose(
        Set.of(tank(new TankLayout.Place(sheet.selected(), to / beats, to % beats), sheet.row())));
  }

  private void digit(KeyCode code) {
    fill(Level.values()[Integer.parseInt(code.getChar())]);
  }

  private Level cycled() {
    Level[] levels = Level.values();
    return levels[(cell().level().ordinal() + 1) % levels.length];
  }

  private void paste() {
    copied.ifPresent(cell -> actions.pour(cell, sheet.tanks()));
  }

  private void chooseAll() {
    Set<TankMark> all = new HashSet<>();
    for (int i = 0; i < sheet.sections().size(); i++) {
      for (Cell cell : sheet.sections().get(i).cells(sheet.part().id())) {
        all.add(new TankMark(i, sheet.row(), cell.fromBar(), cell.beat()));
      }
    }
    choose(all);
  }

  private void walkRows(int by) {
    int to = Math.max(0, Math.min(sheet.song().parts().size() - 1, sheet.row() + by));
    choose(Set.of(tank(new TankLayout.Place(sheet.selected(), sheet.fromBar(), sheet.beat()), to)));
    sheet.bringIntoView();
  }

  /** To the next or last tank of the part, across the boundaries of sections. */
  private void walk(int direction) {
    List<Cell> cells = sheet.sections().get(sheet.selected()).cells(sheet.part().id());
    int at = 0;
    for (int i = 0; i < cells.size(); i++) {
      boolean here =
          cells.get(i).fromBar() == sheet.fromBar() && cells.get(i).beat() == sheet.beat();
      at = here ? i : at;
    }
    int next = at + direction;
    int section = sheet.selected() + direction;
    if (next >= 0 && next < cells.size()) {
      choose(Set.of(mark(sheet.selected(), cells.get(next))));
    } else if (section >= 0 && section < sheet.sections().size()) {
      List<Cell> other = sheet.sections().get(section).cells(sheet.part().id());
      choose(Set.of(mark(section, other.get(direction > 0 ? 0 : other.size() - 1))));
    }
    sheet.bringIntoView();
  }

  private TankMark mark(int section, Cell cell) {
    sheet.cursorAt(new TankLayout.Place(section, cell.fromBar(), cell.beat()));
    return new TankMark(section, sheet.row(), cell.fromBar(), cell.beat());
  }
}
