package westtide.desktop.frame;

import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.sheet.Axis;
import westtide.review.finding.Measure;

/** A measure on its scale: the usual stretch as a band, the figure as a mark. */
final class MeasureScale extends Drawing {
  private static final double EDGE = 5;

  private Measure measure;

  MeasureScale() {
    super("", false);
    setPrefHeight(13);
    setMinHeight(13);
  }

  void show(Measure shown) {
    if (shown.equals(measure)) {
      return;
    }
    measure = shown;
    setAccessibleText(shown.name() + " " + shown.shown());
    redraw();
  }

  /** The corners of the mark that says where a figure stands. */
  static double[] mark(double x, double y) {
    return new double[] {x, y - 5, x + 4.5, y, x, y + 5, x - 4.5, y};
  }

  @Override
  protected void draw() {
    if (measure == null) {
      return;
    }
    Axis axis = new Axis(0, 1, EDGE, getWidth() - EDGE);
    double y = 6;
    line(EDGE, y, getWidth() - EDGE, y, "measure-scale");
    double low = axis.at(measure.share(measure.expected().low()));
    double high = axis.at(measure.share(measure.expected().high()));
    line(low, y, high, y, "measure-usual");
    double x = axis.at(measure.share(measure.value()));
    polygon(mark(x, y), "measure-mark", measure.usual() ? "usual" : "unusual");
  }
}
