package westtide.desktop.form;

import java.util.List;
import java.util.Optional;
import javafx.scene.Cursor;
import westtide.desktop.kit.Pull;
import westtide.desktop.kit.sheet.Reordering;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Cell;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.Transition;
import westtide.song.form.TransitionKind;

/**
 * What can be dragged on the tanks: water up and down, walls and the ends of sections sideways,
 * signs both ways, names and heads to another place.
 */
final class TankPulls {
  /** Pixels on either side of a wall in which it is taken hold of. */
  private static final double GRIP = 4;

  /** Pixels up or down that do not count as a change of depth. */
  private static final double DEAD = 8;

  /** The fullest level begins a little below the brim, which a pointer seldom meets. */
  private static final double NEAR_FULL = 0.2;

  private final ArrangementSheet sheet;
  private final TankChoice choice;
  private final TankActions actions;

  TankPulls(ArrangementSheet sheet, TankActions actions) {
    this.sheet = sheet;
    this.choice = sheet.choice();
    this.actions = actions;
  }

  /** The pointer over a mark says which way it can be dragged. */
  Cursor hover(TankMark mark, double x) {
    return switch (mark.is()) {
      case NAME -> Cursor.HAND;
      case TANK -> wall(mark, x).isPresent() ? Cursor.H_RESIZE : Cursor.V_RESIZE;
      case HEAD -> atEnd(mark.section(), x) ? Cursor.H_RESIZE : Cursor.MOVE;
      case SIGN -> Cursor.MOVE;
    };
  }

  /** The drag that begins on a mark. */
  Pull of(TankMark mark, double x, double y) {
    return switch (mark.is()) {
      case NAME ->
          new Reordering(
              mark.row(),
              (px, py) -> rowAt(py),
              (from, to) -> actions.reorder(choice.song().parts().get(from), to));
      case HEAD ->
          atEnd(mark.section(), x)
              ? new Lengthening(mark.section())
              : new Reordering(
                  mark.section(), (px, py) -> sectionAt(px, mark.section()), actions::move);
      case SIGN -> new Stretching(mark, x, y);
      case TANK ->
          wall(mark, x)
              .<Pull>map(side -> new MovingWall(mark, side))
              .orElseGet(() -> new Filling(mark.row()));
    };
  }

  private int rowAt(double y) {
    int last = choice.song().parts().size() - 1;
    return Math.max(0, Math.min(last, sheet.place().rowAt(y)));
  }

  private int sectionAt(double x, int otherwise) {
    return sheet.place().placeAt(x).map(TankLayout.Place::section).orElse(otherwise);
  }

  private boolean atEnd(int section, double x) {
    double beats = choice.sections().get(section).beats(choice.meter());
    return Math.abs(x - sheet.place().beatX(section, beats)) <= GRIP + 2;
  }

  /** A wall of a tank that is under the pointer: its left one, or the right one of its section. */
  private enum Wall {
    LEFT,
    RIGHT
  }

  private Optional<Wall> wall(TankMark tank, double x) {
    double left =
        sheet.place().beatX(tank.section(), tank.fromBar() * (double) choice.beats() + tank.beat());
    if (Math.abs(x - left) <= GRIP) {
      return Optional.of(Wall.LEFT);
    }
    List<Cell> cells = cells(tank);
    boolean ends = cells.get(cells.size() - 1).isAt(tank.fromBar(), tank.beat());
    return ends && atEnd(tank.section(), x) ? Optional.of(Wall.RIGHT) : Optional.empty();
  }

  private List<Cell> cells(TankMark tank) {
    return choice.sections().get(tank.section()).cells(choice.part(tank).id());
  }

  /** The wall of a change follows the pointer; one of a section lets the part enter or leave. */
  private final class MovingWall implements Pull {
    private final TankMark tank;
    private final Wall side;
    private final List<Cell> was;

    MovingWall(TankMark tank, Wall side) {
      this.tank = tank;
      this.side = side;
      this.was = cells(tank);
    }

    @Override
    public String to(double x, double y) {
      int beats = choice.beats();
      int last = choice.sections().get(tank.section()).beats(choice.meter()) - 1;
      int beat = Math.max(1, Math.min(last, sheet.place().beatNear(tank.section(), x)));
      int bar = beat / beats;
      int on = beat % beats;
      boolean change = side == Wall.LEFT && (tank.fromBar() > 0 || tank.beat() > 0);
      if (change) {
        actions.arrange(tank, FormEdits.moved(was, tank.fromBar(), tank.beat(), bar, on));
        return words("from", beat);
      }
      actions.arrange(tank, FormEdits.cut(was, bar, on, side == Wall.LEFT));
      return words(side == Wall.LEFT ? "enters at" : "leaves at", beat);
    }

    /** A place of a section in words, such as {@code "from bar 5.3"}. */
    private String words(String before, int beat) {
      int inBar = beat % choice.beats();
      return before + " bar " + (beat / choice.beats() + 1) + (inBar == 0 ? "" : "." + (inBar + 1));
    }
  }

  /** The end of a section follows the pointer, bar by bar. */
  private final class Lengthening implements Pull {
    private final int section;
    private final double perBar;
    private final double start;
    private final Section was;

    Lengthening(int section) {
      this.was = choice.sections().get(section);
      this.section = section;
      this.start = sheet.place().beatX(section, 0);
      this.perBar = sheet.place().beatX(section, choice.beats()) - start;
    }

    @Override
    public String to(double x, double y) {
      int bars = (int) Math.max(1, Math.round((x - start) / perBar));
      actions.resize(section, bars);
      return choice.sections().get(section).bars() + " bars";
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
      this.was = choice.transition(sign).orElseThrow();
      this.fromX = x;
      this.fromY = y;
      this.perBeat =
          sheet.place().beatX(sign.section(), 1) - sheet.place().beatX(sign.section(), 0);
    }

    @Override
    public String to(double x, double y) {
      int way = was.kind().place() == TransitionKind.Place.BEFORE ? -1 : 1;
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
    private final List<TankMark> tanks = choice.tanks();

    Filling(int row) {
      this.row = row;
    }

    @Override
    public String to(double x, double y) {
      double top = sheet.place().top(row) + ArrangementSheet.ABOVE;
      double high = sheet.place().rowHeight() - ArrangementSheet.ABOVE - ArrangementSheet.BELOW;
      double share = 1 - (y - top) / high;
      Level[] levels = Level.values();
      int index = (int) Math.floor(share * (levels.length + NEAR_FULL));
      Level level = levels[Math.max(0, Math.min(levels.length - 1, index))];
      actions.fill(tanks, level);
      return level.toString();
    }
  }
}
