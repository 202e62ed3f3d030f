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
import westtide.desktop.kit.sheet.SheetGestures;
import westtide.song.Part;
import westtide.song.form.Cell;
import westtide.song.form.Level;

/** Mouse and keys on the tanks: choosing, setting the water, renaming and reordering parts. */
final class TankMarks implements SheetGestures.Sheet<TankMark> {
  private final ArrangementSheet sheet;
  private final TankActions actions;
  private final TankChoice choice;
  private final TankPulls pulls;
  private final KeyTable keys;
  private Optional<Cell> copied = Optional.empty();

  TankMarks(ArrangementSheet sheet, TankActions actions) {
    this.sheet = sheet;
    this.actions = actions;
    this.choice = sheet.choice();
    this.pulls = new TankPulls(sheet, actions);
    this.keys = table();
  }

  private KeyTable table() {
    return new KeyTable("Tanks of the form")
        .key("tank before", () -> walk(-1), "LEFT")
        .key("next tank", () -> walk(1), "RIGHT")
        .key("part above", () -> walkRows(-1), "UP")
        .key("part below", () -> walkRows(1), "DOWN")
        .keys("level: out, hint, half, full, lifted", "0 … 4", this::digit, "0", "1", "2", "3", "4")
        .menu("raise level", this::tank, () -> fill(cell().level().fuller()), "PAGE_UP")
        .menu("lower level", this::tank, () -> fill(cell().level().emptier()), "PAGE_DOWN")
        .menu("change here", this::tank, this::splitHere, "PLUS", "EQUALS", "ADD")
        .menu("merge with the one before", this::tank, this::joinHere, "MINUS", "SUBTRACT")
        .key("cursor a beat earlier", () -> moveCursor(-1), "Shift+LEFT")
        .key("cursor a beat later", () -> moveCursor(1), "Shift+RIGHT")
        .menu("next level", this::tank, () -> fill(cycled()), "ENTER")
        .menu("out, or delete the transition", this::tank, this::delete, "DELETE", "BACK_SPACE")
        .menu(
            "copy level and pattern", this::tank, () -> copied = Optional.of(cell()), "Shortcut+C")
        .menu("paste level and pattern", () -> copied.isPresent(), this::paste, "Shortcut+V")
        .menu("choose all tanks of the part", this::tank, this::chooseAll, "Shortcut+A")
        .menu("rename the part", () -> !choice.empty(), () -> sheet.rename(choice.part()), "F2");
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
    return !choice.empty();
  }

  private Cell cell() {
    return choice.cell();
  }

  @Override
  public Optional<TankMark> at(double x, double y) {
    if (choice.empty()) {
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
        choice.sections().get(under.section()).cell(part(row).id(), under.bar(), under.beat());
    return new TankMark(under.section(), row, cell.fromBar(), cell.beat());
  }

  private Part part(int row) {
    return choice.song().parts().get(row);
  }

  @Override
  public Set<TankMark> chosen() {
    return choice.marks();
  }

  /** Where a tank is pressed the cursor stands. */
  @Override
  public void pressed(double x, double y) {
    if (!choice.empty() && x >= TankLayout.LEFT) {
      sheet.place().placeAt(x).ifPresent(choice::cursorAt);
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
    if (!choice.empty()) {
      sheet.place().placeAt(x).ifPresent(under -> choose(Set.of(TankMark.head(under.section()))));
    }
  }

  @Override
  public Set<TankMark> within(Bounds frame) {
    Set<TankMark> out = new HashSet<>();
    if (choice.empty()) {
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
    return at(x, y).map(mark -> pulls.hover(mark, x)).orElse(Cursor.DEFAULT);
  }

  @Override
  public void open(TankMark mark) {
    if (mark.isName()) {
      sheet.rename(part(mark.row()));
    } else if (mark.isTank() && choice.cell(mark).level() == Level.OUT) {
      actions.fill(List.of(mark), Level.FULL);
    }
  }

  @Override
  public Optional<Pull> grab(TankMark mark, double x, double y, boolean alt) {
    return Optional.of(pulls.of(mark, x, y));
  }

  private void fill(Level level) {
    actions.fill(choice.tanks(), level);
  }

  /** A chosen sign goes; chosen tanks are emptied. */
  private void delete() {
    Optional<TankMark> sign = choice.sign();
    if (sign.isPresent()) {
      actions.transition(sign.get(), Optional.empty());
    } else {
      fill(Level.OUT);
    }
  }

  private void splitHere() {
    TankLayout.Place at = choice.cursor();
    actions.split(choice.here(), at.bar(), at.beat());
    choose(Set.of(tank(at, choice.here().row())));
  }

  private void joinHere() {
    actions.join(choice.here());
  }

  /** The cursor goes a beat on inside the section. */
  private void moveCursor(int by) {
    int beats = choice.beats();
    int last = choice.section().beats(choice.meter()) - 1;
    int now = choice.cursor().bar() * beats + choice.cursor().beat();
    int to = Math.max(0, Math.min(last, now + by));
    choice.cursorAt(new TankLayout.Place(choice.here().section(), to / beats, to % beats));
    choose(
        Set.of(
            tank(
                new TankLayout.Place(choice.here().section(), to / beats, to % beats),
                choice.here().row())));
  }

  private void digit(KeyCode code) {
    fill(Level.values()[Integer.parseInt(code.getChar())]);
  }

  private Level cycled() {
    Level[] levels = Level.values();
    return levels[(cell().level().ordinal() + 1) % levels.length];
  }

  private void paste() {
    copied.ifPresent(cell -> actions.pour(cell, choice.tanks()));
  }

  private void chooseAll() {
    Set<TankMark> all = new HashSet<>();
    for (int i = 0; i < choice.sections().size(); i++) {
      for (Cell cell : choice.sections().get(i).cells(choice.part().id())) {
        all.add(new TankMark(i, choice.here().row(), cell.fromBar(), cell.beat()));
      }
    }
    choose(all);
  }

  private void walkRows(int by) {
    int to = Math.max(0, Math.min(choice.song().parts().size() - 1, choice.here().row() + by));
    choose(
        Set.of(
            tank(
                new TankLayout.Place(
                    choice.here().section(), choice.here().fromBar(), choice.here().beat()),
                to)));
    sheet.bringIntoView();
  }

  /** To the next or last tank of the part, across the boundaries of sections. */
  private void walk(int direction) {
    List<Cell> cells = choice.section().cells(choice.part().id());
    int at = 0;
    for (int i = 0; i < cells.size(); i++) {
      at = cells.get(i).isAt(choice.here().fromBar(), choice.here().beat()) ? i : at;
    }
    int next = at + direction;
    int section = choice.here().section() + direction;
    if (next >= 0 && next < cells.size()) {
      choose(Set.of(mark(choice.here().section(), cells.get(next))));
    } else if (section >= 0 && section < choice.sections().size()) {
      List<Cell> other = choice.sections().get(section).cells(choice.part().id());
      choose(Set.of(mark(section, other.get(direction > 0 ? 0 : other.size() - 1))));
    }
    sheet.bringIntoView();
  }

  private TankMark mark(int section, Cell cell) {
    choice.cursorAt(new TankLayout.Place(section, cell.fromBar(), cell.beat()));
    return new TankMark(section, choice.here().row(), cell.fromBar(), cell.beat());
  }
}
