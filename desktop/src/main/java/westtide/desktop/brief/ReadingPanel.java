package westtide.desktop.brief;

import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;

/** Something to read and choose in, in front of the window. */
final class ReadingPanel extends VBox {
  private static final double WIDTH = 720;
  private static final double HEIGHT = 560;

  ReadingPanel(String title, VBox content, Runnable close) {
    super(10);
    getStyleClass().add("card");
    setPrefWidth(WIDTH);
    setMaxHeight(HEIGHT);
    content.setPadding(new Insets(2, 14, 2, 0));
    ScrollPane scroll = new ScrollPane(content);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    Node done = Controls.primary("brief-panel-close", "done", close);
    getChildren().addAll(Controls.title(title), scroll, Controls.row(8, Controls.spring(), done));
  }
}
