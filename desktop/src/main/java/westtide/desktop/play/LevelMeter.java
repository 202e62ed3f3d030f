package westtide.desktop.play;

import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;

/**
 * A trough that fills with the level: peak as water, loudness as a mark. Its parts are unmanaged,
 * so that a frame of it never asks for layout.
 */
final class LevelMeter extends Pane {
  private static final double LOWEST_DB = -48;
  private static final double HEIGHT = 10;

  private final Rectangle trough = new Rectangle();
  private final Rectangle water = new Rectangle();
  private final Line mark = new Line();
  private final double width;

  LevelMeter(double width) {
    this.width = width;
    setMinSize(width, HEIGHT + 2);
    setPrefSize(width, HEIGHT + 2);
    setMaxSize(width, HEIGHT + 2);
    trough.getStyleClass().add("trough");
    water.getStyleClass().add("trough-water");
    mark.getStyleClass().add("trough-mark");
    trough.setWidth(width);
    trough.setHeight(HEIGHT);
    water.setHeight(HEIGHT);
    mark.setEndY(HEIGHT);
    for (javafx.scene.shape.Shape shape : new javafx.scene.shape.Shape[] {trough, water, mark}) {
      shape.setManaged(false);
      shape.setMouseTransparent(true);
      getChildren().add(shape);
    }
    show(0, LOWEST_DB);
  }

  void show(double peak, double loudness) {
    water.setWidth(place(peak <= 1e-6 ? LOWEST_DB : 20 * Math.log10(peak)));
    mark.setTranslateX(place(loudness));
    mark.setVisible(loudness > LOWEST_DB);
  }

  private double place(double decibels) {
    return Math.max(0, Math.min(1, 1 - decibels / LOWEST_DB)) * width;
  }
}
