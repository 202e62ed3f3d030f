package westtide.desktop.kit;

import java.util.Collection;
import java.util.List;
import westtide.desktop.kit.sheet.Axis;

/** One bar of drums in sixteenths: hats above, the backbeat larger, the kick below. */
public final class GrooveSketch extends Drawing {
  /** Sixteenths in the bar that is shown. */
  public static final int COLUMNS = 16;

  private static final double EDGE = 5;
  private static final double[] HEIGHTS = {0.18, 0.5, 0.82};
  private static final double[] RADII = {2.4, 4.2, 2.8};
  private static final String[] MARKS = {"sketch-hat", "sketch-backbeat", "sketch-kick"};

  private final List<? extends Collection<Integer>> rows;

  /**
   * A picture that takes no mouse.
   *
   * @param name what it shows
   * @param rows sixteenths, 0 to 15, of hats, backbeat and kick
   */
  public GrooveSketch(String name, List<? extends Collection<Integer>> rows) {
    super(name, false);
    this.rows = List.copyOf(rows);
    setMouseTransparent(true);
  }

  @Override
  protected void draw() {
    Axis x = new Axis(0, COLUMNS, EDGE, getWidth() - EDGE);
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
