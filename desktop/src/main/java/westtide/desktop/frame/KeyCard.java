package westtide.desktop.frame;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.KeyTable;
import westtide.desktop.room.Command;

/** Every key: those of the sheets in front, and those that work anywhere. */
public final class KeyCard extends VBox {
  private static final double HEIGHT = 470;
  private static final List<String[]> CONTROLS =
      List.of(
          new String[] {"Tab", "from control to control; a group of chips is one stop"},
          new String[] {"arrows", "among chips, stages and rows of a menu; Space or Enter chooses"},
          new String[] {
            "Down, Enter", "open a list; type to search it, Enter takes, Escape does not"
          },
          new String[] {"Up, Down", "in a number: one more or less, with Shift ten"},
          new String[] {"Escape", "cancels what is typed, dragged or open"},
          new String[] {"Shift + click", "chooses one more"},
          new String[] {"Ctrl + drag", "chooses all inside a frame"},
          new String[] {"Alt + drag", "velocity of a note"},
          new String[] {"right-click", "what can be done with what is chosen"});

  /** A card of the keys of the room in front and of all commands. */
  public KeyCard(List<KeyTable> tables, List<Command> commands, Runnable close) {
    getStyleClass().add("card");
    setId("key-card");
    VBox here = new VBox(10);
    for (KeyTable table : tables) {
      here.getChildren().addAll(Controls.label(table.title(), "strong"), rows(of(table)));
    }
    here.getChildren().addAll(Controls.label("Every control and sheet", "strong"), rows(CONTROLS));
    VBox anywhere = new VBox(10, Controls.label("Anywhere", "strong"), rows(of(commands)));
    HBox columns = Controls.row(34, here, anywhere);
    columns.setAlignment(javafx.geometry.Pos.TOP_LEFT);
    ScrollPane scroll = new ScrollPane(columns);
    scroll.setPrefViewportHeight(HEIGHT);
    scroll.setMinHeight(200);
    getChildren()
        .addAll(
            Controls.row(
                20,
                Controls.title("Keys"),
                Controls.spring(),
                Controls.action("key-card-close", "close", close)),
            scroll);
  }

  private static List<String[]> of(KeyTable table) {
    return table.deeds().stream()
        .filter(deed -> !deed.shown().isEmpty())
        .map(deed -> new String[] {deed.shown(), deed.words()})
        .toList();
  }

  private static List<String[]> of(List<Command> commands) {
    List<String[]> out = new ArrayList<>();
    for (Command command : commands) {
      command
          .keys()
          .ifPresent(keys -> out.add(new String[] {keys.getDisplayText(), command.title()}));
    }
    return out;
  }

  private static Node rows(List<String[]> rows) {
    GridPane grid = new GridPane();
    grid.setHgap(14);
    grid.setVgap(2);
    for (int i = 0; i < rows.size(); i++) {
      Label keys = Controls.whole(Controls.label(rows.get(i)[0], "strong"));
      grid.addRow(i, keys, Controls.whole(Controls.label(rows.get(i)[1])));
    }
    return grid;
  }
}
