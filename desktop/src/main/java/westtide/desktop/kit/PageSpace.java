package westtide.desktop.kit;

import javafx.beans.property.BooleanProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleIntegerProperty;

/**
 * The place pages have under the drawings of all rooms: whether they stand open, and how high. It
 * is one for the window and for every page, so that nothing moves when another one comes in front.
 */
public final class PageSpace {
  /** The lowest a page can be made, in pixels. */
  public static final int LOWEST = 96;

  /** The highest. */
  public static final int HIGHEST = 360;

  /** What a new window has. */
  public static final int USUAL = 112;

  private final BooleanProperty open;
  private final IntegerProperty height;

  /** A place that stands open or folded, so many pixels high. */
  public PageSpace(boolean open, int height) {
    this.open = new SimpleBooleanProperty(open);
    this.height = new SimpleIntegerProperty(held(height));
  }

  /** Whether pages stand open. */
  public BooleanProperty open() {
    return open;
  }

  /** How high they are while they do, in pixels. */
  public IntegerProperty height() {
    return height;
  }

  /** Makes them another height, within what is possible. */
  void reach(double pixels) {
    height.set(held((int) Math.round(pixels)));
  }

  private static int held(int pixels) {
    return Math.max(LOWEST, Math.min(HIGHEST, pixels));
  }
}
