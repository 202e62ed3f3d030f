package westtide.desktop.form;

import java.util.List;
import westtide.rhythm.Ticks;
import westtide.song.mix.Curve;
import westtide.song.mix.CurveShape;

/** A curve as a line between two heights. */
final class CurveLine {
  private static final int PIECES = 6;
  private static final double NARROWEST_SWING = 4;

  private CurveLine() {}

  /** Points, x and y by turns; {@code bar} is the pixels of a bar of four beats. */
  static double[] of(Curve curve, double from, double to, double top, double bottom, double bar) {
    return curve.shape() instanceof CurveShape.Cycle cycle
        ? swings(curve.kind(), cycle, from, to, top, bottom, bar)
        : points(curve.kind(), ((CurveShape.Points) curve.shape()).points(), from, to, top, bottom);
  }

  private static double y(Curve.Kind kind, double value, double top, double bottom) {
    return bottom - kind.share(value) * (bottom - top);
  }

  private static double[] points(
      Curve.Kind kind,
      List<CurveShape.Point> points,
      double from,
      double to,
      double top,
      double bottom) {
    double[] out = new double[2 * ((points.size() - 1) * PIECES + 1)];
    int at = 0;
    for (int i = 0; i + 1 < points.size(); i++) {
      CurveShape.Point one = points.get(i);
      CurveShape.Point next = points.get(i + 1);
      double low = y(kind, one.value(), top, bottom);
      double high = y(kind, next.value(), top, bottom);
      for (int piece = 0; piece < PIECES; piece++) {
        double share = piece / (double) PIECES;
        out[at++] = from + (to - from) * (one.at() + (next.at() - one.at()) * share) / 1000;
        out[at++] = low + (high - low) * one.bend().at(share);
      }
    }
    out[at++] = to;
    out[at] = y(kind, points.get(points.size() - 1).value(), top, bottom);
    return out;
  }

  /** Swings too fast to be seen one by one are drawn as wide as they can be. */
  private static double[] swings(
      Curve.Kind kind,
      CurveShape.Cycle cycle,
      double from,
      double to,
      double top,
      double bottom,
      double bar) {
    double length = Math.max(NARROWEST_SWING, bar * cycle.ticks() / (4.0 * Ticks.PER_QUARTER));
    int count = Math.max(1, (int) Math.round((to - from) / length));
    double low = y(kind, cycle.low(), top, bottom);
    double high = y(kind, cycle.high(), top, bottom);
    double[] out = new double[4 * count + 2];
    int at = 0;
    for (int i = 0; i < count; i++) {
      out[at++] = from + (to - from) * i / count;
      out[at++] = low;
      out[at++] = from + (to - from) * (i + 0.5) / count;
      out[at++] = high;
    }
    out[at++] = to;
    out[at] = low;
    return out;
  }
}
