package westtide.desktop.frame.start;

import java.util.List;
import java.util.SortedSet;
import westtide.desktop.kit.Drawing;
import westtide.desktop.kit.sheet.Axis;
import westtide.style.StyleOutline;

/** One bar of a style's drums: hats above, the backbeat larger, the kick below. */
final class GrooveSketch extends Drawing {
  private static final double EDGE = 5;
  private static final double[] HEIGHTS = {0.18, 0.5, 0.82};
  private static final double[] RADII = {2.4, 4.2, 2.8};
  private static final String[] MARKS = {"sketch-hat", "sketch-backbeat", "sketch-kick"};

  private final StyleOutline style;

  GrooveSketch(StyleOutline style) {
    super("One bar of " + style.name(), false);
    this.style = style;
    setMouseTransparent(true);
  }

  @Override
  protected void draw() {
    Axis x = new Axis(0, StyleOutline.COLUMNS, EDGE, getWidth() - EDGE);
    List<SortedSet<Integer>> rows = style.rows();
    double radius = Math.min(1, x.length(1) / 7);
    for (int row = 0; row < rows.size(); row++) {
      double y = getHeight() * HEIGHTS[row];
      line(EDGE, y, getWidth() - EDGE, y, "sketch-line");
      for (int column : rows.get(row)) {
        dot(x.at(column + 0.5), y, Math.max(1.2, RADII[row] * radius), MARKS[row]);
      }
    }
  }
}
