package westtide.desktop.form;

import westtide.song.form.Transition;
import westtide.song.form.TransitionKind;

/**
 * What a transition does as a shape below the tanks, as wide as it is long and as high as it is
 * deep: hollow where something falls out, filled where everything stops, strokes where drums fill,
 * a wedge where something rises, a burst where something lands.
 */
final class TransitionSigns {
  private static final double LEAST = 9;
  private static final double HALF = 7;

  private TransitionSigns() {}

  /**
   * A shape.
   *
   * @param points its corners, x and y by turns
   * @param style its style class
   */
  record Sign(double[] points, String style) {}

  /** How wide a transition is drawn. */
  static double width(Transition what, double beat) {
    return Math.max(LEAST, what.beats() * beat);
  }

  /**
   * The sign of a transition.
   *
   * @param edge pixel of the bar it announces or lands
   * @param beat pixels of a beat
   * @param y pixel of its middle
   */
  static Sign of(Transition what, double edge, double beat, double y) {
    double width = width(what, beat);
    boolean before = what.kind().place() == TransitionKind.Place.BEFORE;
    double from = before ? edge - width : edge;
    double to = before ? edge : edge + width;
    double h = HALF * (0.4 + 0.6 * what.depth() / 100.0);
    return switch (what.kind().sign()) {
      case HOLLOW -> new Sign(gapped(from, to, y, h), "hollow");
      case BLOCK -> new Sign(box(from, to, y, h), "stop");
      case BLOCK_AFTER -> new Sign(box(from + 4, to + 4, y, h), "stop");
      case HELD -> new Sign(new double[] {from, y - 2, to, y - 2, to, y + 2, from, y + 2}, "held");
      case STROKES -> new Sign(strokes(from, to, y, h), "strokes");
      case BURST -> new Sign(burst(edge, y, h + 2, 1), "crash");
      case BURST_BACK -> new Sign(burst(edge, y, h + 2, -1), "crash");
      case RISING -> new Sign(new double[] {from, y + h, to, y - h, to, y + h}, "wedge");
      case FALLING -> new Sign(new double[] {from, y - h, to, y + h, from, y + h}, "wedge");
      case STAIRS -> new Sign(stairs(from, to, y, h), "stairs");
      case OPENING -> new Sign(lens(from, to, y, h, true), "filter");
      case CLOSING -> new Sign(lens(from, to, y, h, false), "filter");
    };
  }

  private static double[] box(double from, double to, double y, double h) {
    return new double[] {from, y - h, to, y - h, to, y + h, from, y + h};
  }

  /** A box that is open below: what is not there. */
  private static double[] gapped(double from, double to, double y, double h) {
    return new double[] {from, y + h, from, y - h, to, y - h, to, y + h, to, y - h, from, y - h};
  }

  private static double[] burst(double edge, double y, double h, int way) {
    double far = edge + way * 14;
    double near = edge + way * 4;
    return new double[] {edge, y - h, near, y - 2, far, y, near, y + 2, edge, y + h};
  }

  /** Strokes that grow towards the end. */
  private static double[] strokes(double from, double to, double y, double h) {
    int count = Math.max(3, Math.min(9, (int) ((to - from) / 5)));
    double step = (to - from) / count;
    double[] out = new double[8 * count + 4];
    int at = 0;
    for (int i = 0; i < count; i++) {
      double x = from + i * step;
      double top = y + h - 2 * h * (i + 1) / count;
      double right = x + step * 0.55;
      for (double value : new double[] {x, y + h, x, top, right, top, right, y + h}) {
        out[at++] = value;
      }
    }
    out[at++] = to;
    out[at++] = y + h;
    out[at++] = from;
    out[at] = y + h;
    return out;
  }

  private static double[] stairs(double from, double to, double y, double h) {
    int count = 4;
    double[] out = new double[4 * count + 4];
    int at = 0;
    for (int i = 0; i < count; i++) {
      double top = y + h - 2 * h * (i + 1) / count;
      out[at++] = from + (to - from) * i / count;
      out[at++] = top;
      out[at++] = from + (to - from) * (i + 1) / count;
      out[at++] = top;
    }
    out[at++] = to;
    out[at++] = y + h;
    out[at++] = from;
    out[at] = y + h;
    return out;
  }

  private static double[] lens(double from, double to, double y, double h, boolean opens) {
    double wide = opens ? to : from;
    double thin = opens ? from : to;
    return new double[] {thin, y + h, (thin + wide) / 2, y + h * 0.6, wide, y - h, wide, y + h};
  }
}
