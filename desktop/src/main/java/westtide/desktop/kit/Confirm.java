package westtide.desktop.kit;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;

/**
 * Says what a choice would replace, before it does; Escape or a press beside it leaves all as is.
 */
public final class Confirm extends VBox {
  private static final double WIDTH = 420;

  private Confirm() {
    super(8);
  }

  /** Asks under a node; {@code yes} are the words of the button that does it. */
  public static void under(Node owner, String title, String replaces, String yes, Runnable run) {
    Confirm panel = new Confirm();
    panel.setId("confirm");
    panel.setPrefWidth(WIDTH);
    Floating[] floating = new Floating[1];
    Button take =
        Controls.primary(
            "confirm-yes",
            yes,
            () -> {
              floating[0].close();
              run.run();
            });
    Button leave = Controls.action("confirm-no", "cancel", () -> floating[0].close());
    panel
        .getChildren()
        .addAll(
            Controls.wrapped(title, "strong"),
            Controls.wrapped(replaces),
            Controls.row(8, Controls.spring(), leave, take));
    panel.setStyle("-fx-padding: 12 14 12 14;");
    floating[0] = Floating.under(owner, panel);
    take.requestFocus();
  }
}
