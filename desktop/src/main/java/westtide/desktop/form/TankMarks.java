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

/** Mouse and keys on the tanks: choosing, setting the water, renaming and reordering parts. */
final class TankMarks implements SheetGestures.Sheet<TankMark> {
  private final TankSheet sheet;
  private final TankSheet.Actions actions;
  private final KeyTable keys;
  private Optional<Cell> copied = Optional.empty();

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
        .menu("fuller", this::tank, () -> fill(cell().level().fuller()), "PLUS", "EQUALS", "ADD")
        .menu("emptier", this::tank, () -> fill(cell().level().emptier()), "MINUS", "SUBTRACT")
        .menu("next level", this::tank, () -> fill(cycled()), "ENTER")
        .menu("out: the part is silent here", this::tank, this::drain, "DELETE", "BACK_SPACE")
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
    if (sheet.empty() || y < sheet.place().top()) {
      return Optional.empty();
    }
    TankLayout place = sheet.place();
    int row = place.rowAt(y);
    if (row >= place.rows().end()) {
      return Optional.empty();
    }
    if (x < TankLayout.LEFT) {
      return Optional.of(TankMark.name(row));
    }
    return place.placeAt(x).map(under -> new TankMark(under.section(), row, fromBar(under, row)));
  }

  private int fromBar(TankLayout.Place under, int row) {
    return sheet.sections().get(under.section()).cell(part(row).id(), under.bar()).fromBar();
  }

  private Part part(int row) {
    return sheet.song().parts().get(row);
  }

  @Override
  public Set<TankMark> chosen() {
    return sheet.chosen();
  }

  /** A part by its name, or tanks; never both. */
  @Override
  public void choose(Set<TankMark> marks) {
    Set<TankMark> tanks = new HashSet<>(marks);
    if (marks.size() > 1) {
      tanks.removeIf(TankMark::isName);
    }
    sheet.choose(tanks);
  }

  /** A place above or below the tanks chooses the section that is there. */
  @Override
  public void cursor(double x, double y) {
    if (!sheet.empty()) {
      sheet
          .place()
          .placeAt(x)
          .ifPresent(under -> choose(Set.of(new TankMark(under.section(), sheet.row(), 0))));
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
        at(x, y).filter(mark -> !mark.isName()).ifPresent(out::add);
      }
    }
    return out;
  }

  @Override
  public Cursor hover(double x, double y) {
    return at(x, y)
        .map(mark -> mark.isName() ? Cursor.HAND : Cursor.V_RESIZE)
        .orElse(Cursor.DEFAULT);
  }

  @Override
  public void open(TankMark mark) {
    if (mark.isName()) {
      sheet.rename(part(mark.row()));
    } else if (sheet.cell(mark).level() == Level.OUT) {
      actions.fill(List.of(mark), Level.FULL);
    }
  }

  @Override
  public Optional<Pull> grab(TankMark mark, double x, double y, boolean alt) {
    return Optional.of(
        mark.isName()
            ? new Reordering(
                mark.row(), (px, py) -> rowAt(py), (from, to) -> actions.reorder(part(from), to))
            : new Filling(mark.row()));
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
      double share = 1 - (y - sheet.place().top(row)) / sheet.place().rowHeight();
      Level[] levels = Level.values();
      int index = (int) Math.floor(share * levels.length);
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

  private void drain() {
    fill(Level.OUT);
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
        all.add(new TankMark(i, sheet.row(), cell.fromBar()));
      }
    }
    choose(all);
  }

  private void walkRows(int by) {
    int to = Math.max(0, Math.min(sheet.song().parts().size() - 1, sheet.row() + by));
    int bar = sheet.sections().get(sheet.selected()).cell(part(to).id(), sheet.fromBar()).fromBar();
    choose(Set.of(new TankMark(sheet.selected(), to, bar)));
    sheet.bringIntoView();
  }

  /** To the next or last tank of the part, across the boundaries of sections. */
  private void walk(int direction) {
    List<Cell> cells = sheet.sections().get(sheet.selected()).cells(sheet.part().id());
    int at = 0;
    for (int i = 0; i < cells.size(); i++) {
      at = cells.get(i).fromBar() == sheet.fromBar() ? i : at;
    }
    int next = at + direction;
    int section = sheet.selected() + direction;
    if (next >= 0 && next < cells.size()) {
      choose(Set.of(new TankMark(sheet.selected(), sheet.row(), cells.get(next).fromBar())));
    } else if (section >= 0 && section < sheet.sections().size()) {
      List<Cell> other = sheet.sections().get(section).cells(sheet.part().id());
      int bar = other.get(direction > 0 ? 0 : other.size() - 1).fromBar();
      choose(Set.of(new TankMark(section, sheet.row(), bar)));
    }
    sheet.bringIntoView();
  }
}
