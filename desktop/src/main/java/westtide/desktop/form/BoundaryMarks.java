package westtide.desktop.form;

import java.util.ArrayList;
import java.util.List;
import westtide.song.form.Mark;
import westtide.song.form.Section;
import westtide.song.form.TransitionKind;

/**
 * Where the signs of transitions stand below the tanks: those that lead up to a bar to the left of
 * it, those that land to the right, one below the other where several share a side.
 *
 * @param place where sections stand
 */
record BoundaryMarks(TankLayout place) {
  /** Pixels below the tanks in which signs stand; their words are below. */
  static final double LOW = 48;

  private static final double FIRST = 12;
  private static final double LANE = 15;
  private static final int LANES = 3;

  /**
   * A sign where it is drawn.
   *
   * @param section the place of its section
   * @param mark the transition at its bar
   * @param edge pixel of the bar
   * @param y pixel of the middle
   * @param beat pixels of a beat
   */
  record Placed(int section, Mark mark, double edge, double y, double beat) {
    double left() {
      boolean before = mark.transition().kind().place() == TransitionKind.Place.BEFORE;
      double width = TransitionSigns.width(mark.transition(), beat);
      return before ? edge - width : edge;
    }

    double right() {
      return left() + Math.max(14, TransitionSigns.width(mark.transition(), beat));
    }

    boolean holds(double px, double py) {
      double from = Math.min(left(), edge - 6);
      return px >= from - 2
          && px <= Math.max(right(), edge + 6) + 2
          && Math.abs(py - y) <= LANE / 2;
    }
  }

  /** All signs of the sections in view. */
  List<Placed> all() {
    List<Placed> out = new ArrayList<>();
    for (int i = place.columns().offset(); i < place.columns().end(); i++) {
      Section section = place.song().form().sections().get(i);
      double beat = place.beatX(i, 1) - place.beatX(i, 0);
      int beats = place.song().brief().meter().beats();
      int bar = -1;
      int lane = 0;
      for (Mark mark : section.marks()) {
        lane = mark.bar() == bar ? lane + 1 : 0;
        bar = mark.bar();
        double y = place.bottom() + FIRST + LANE * (lane % LANES);
        out.add(new Placed(i, mark, place.beatX(i, (double) mark.bar() * beats), y, beat));
      }
    }
    return out;
  }
}
