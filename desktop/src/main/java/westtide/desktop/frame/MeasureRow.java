package westtide.desktop.frame;

import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.review.finding.Measure;

/** A figure with its name and the scale it stands on. */
final class MeasureRow extends VBox {
  private final Label name = Controls.label("");
  private final Label figure = Controls.label("", "strong");
  private final MeasureScale scale = new MeasureScale();

  MeasureRow() {
    super(1);
    figure.setMinWidth(USE_PREF_SIZE);
    getChildren().addAll(Controls.row(4, name, Controls.spring(), figure), scale);
  }

  void show(Measure measure) {
    name.setText(measure.name());
    figure.setText(measure.shown());
    figure.setId("figure-" + Controls.idOf(measure.name()));
    scale.show(measure);
  }
}
