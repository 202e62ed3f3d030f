package westtide.desktop.form;

import java.util.List;
import westtide.song.Transition;

/**
 * What a transition does as a shape below the tanks: hollow where drums fall out, filled where
 * everything stops, each as wide as it is long, a burst where a crash lands.
 *
 * @param edge pixel of the boundary
 * @param beat pixels of a beat
 * @param y pixel of the middle of the signs
 */
record TransitionSigns(double edge, double beat, double y)
    implements Transition.Kinds<TransitionSigns.Sign> {
  private static final double HALF = 5;
  private static final double LEAST = 5;

  /**
   * A shape.
   *
   * @param points its corners, x and y by turns
   * @param style its style class
   */
  record Sign(double[] points, String style) {}

  List<Sign> of(List<Transition> entry) {
    return entry.stream().map(transition -> transition.accept(this)).toList();
  }

  @Override
  public Sign drumsOut(Transition.DrumsOut transition) {
    return box(edge - width(transition.beats()), edge, "drums-out");
  }

  @Override
  public Sign stop(Transition.Stop transition) {
    return box(edge - width(transition.beats()), edge, "stop");
  }

  @Override
  public Sign snareStop(Transition.SnareStop transition) {
    double from = edge + 2 * beat;
    return box(from, from + width(Math.max(1, transition.beats())), "stop");
  }

  @Override
  public Sign crash(Transition.Crash transition) {
    return new Sign(
        new double[] {
          edge, y - 9, edge + 3, y - 2, edge + 9, y, edge + 3, y + 2, edge, y + 9, edge - 2, y
        },
        "crash");
  }

  private double width(int beats) {
    return Math.max(LEAST, beats * beat);
  }

  private Sign box(double from, double to, String style) {
    return new Sign(
        new double[] {from, y - HALF, to, y - HALF, to, y + HALF, from, y + HALF}, style);
  }
}
