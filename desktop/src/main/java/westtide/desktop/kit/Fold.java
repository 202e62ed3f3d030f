package westtide.desktop.kit;

import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.VBox;

/**
 * What is folded away until its word is pressed, such as fields for exact values. The word stands
 * wherever its room puts it.
 */
public final class Fold extends VBox {
  private final ToggleButton head;

  /** Content folded under a word. */
  public Fold(String id, String word, String help, Node... content) {
    super(6);
    head = new ToggleButton();
    head.setId(id);
    head.getStyleClass().setAll("button", "action");
    Controls.explained(head, help);
    setVisible(false);
    setManaged(false);
    head.selectedProperty()
        .addListener(
            (o, was, is) -> {
              setVisible(is);
              setManaged(is);
              head.setText(word + (is ? " ▾" : " ▸"));
            });
    head.setText(word + " ▸");
    getChildren().addAll(content);
  }

  /** The word that opens and closes it. */
  public ToggleButton head() {
    return head;
  }

  /** Shows what is folded. */
  public void open() {
    head.setSelected(true);
  }

  /** Opens every fold that hides a node. */
  public static void reveal(Node node) {
    for (Node at = node.getParent(); at != null; at = at.getParent()) {
      if (at instanceof Fold fold) {
        fold.open();
      }
    }
  }
}
