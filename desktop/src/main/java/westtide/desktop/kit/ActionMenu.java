package westtide.desktop.kit;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * A small menu of what can be done with a thing, with the keys beside the words. The arrows go
 * through it, Enter, Space or a click does something, Escape nothing.
 */
public final class ActionMenu extends VBox {
  private ActionMenu() {}

  /** Opens it at a point of a drawing; nothing opens when nothing can be done. */
  public static void open(Drawing owner, double x, double y, KeyTable table) {
    List<KeyTable.Deed> possible =
        table.deeds().stream()
            .filter(deed -> deed.menu() && deed.possible().getAsBoolean())
            .toList();
    if (possible.isEmpty()) {
      return;
    }
    ActionMenu menu = new ActionMenu();
    menu.setId("action-menu");
    RovingFocus focus = RovingFocus.over(menu, menu::getChildren);
    Floating[] floating = new Floating[1];
    for (KeyTable.Deed deed : possible) {
      menu.getChildren().add(row(deed, () -> floating[0].close()));
    }
    focus.enterAt(0);
    floating[0] = Floating.at(owner, x, y, menu);
    menu.getChildren().get(0).requestFocus();
  }

  private static Button row(KeyTable.Deed deed, Runnable close) {
    Button row = new Button();
    row.setId("menu-" + deed.id());
    row.setAccessibleText(deed.words());
    row.getStyleClass().setAll("button", "command-row");
    row.setMaxWidth(Double.MAX_VALUE);
    HBox words =
        Controls.row(
            18,
            Controls.whole(Controls.label(deed.words())),
            Controls.spring(),
            Controls.whole(Controls.label(deed.shown(), "small")));
    words.setMinWidth(190);
    row.setGraphic(words);
    row.setOnAction(
        event -> {
          close.run();
          deed.run().accept(KeyCode.UNDEFINED);
        });
    return row;
  }
}
