package westtide.desktop.kit;

import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.transform.Scale;

/** A pane shown larger than it is laid out, for text that is larger than the drawings allow. */
public final class Zoomed extends Region {
  private final Pane content;
  private final Scale scale = new Scale(1, 1, 0, 0);

  /** A pane in its own size. */
  public Zoomed(Pane content) {
    this.content = content;
    content.getTransforms().add(scale);
    getChildren().add(content);
    setMinSize(0, 0);
  }

  /** The pane itself, on which panels float. */
  Pane content() {
    return content;
  }

  /**
   * Shows the pane larger.
   *
   * @param times 1 for its own size, 2 for twice that
   */
  public void zoom(double times) {
    scale.setX(times);
    scale.setY(times);
    requestLayout();
  }

  @Override
  protected void layoutChildren() {
    content.resizeRelocate(0, 0, getWidth() / scale.getX(), getHeight() / scale.getY());
  }
}
