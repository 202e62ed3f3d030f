package westtide.desktop.line;

import javafx.scene.Node;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Page;

/** Which other parts are seen faintly behind the line. */
final class GhostPage implements Page<LineScene> {
  private final VBox box;

  GhostPage(Chips<String> others) {
    this.box =
        Controls.column(
            6, Controls.wrapped("Show these parts faintly behind the line:", "small"), others);
  }

  @Override
  public String title() {
    return "ghosts";
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(LineScene scene) {}
}
