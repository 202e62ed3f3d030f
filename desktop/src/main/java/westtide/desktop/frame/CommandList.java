package westtide.desktop.frame;

import java.util.List;
import java.util.Locale;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.open.Overlay;
import westtide.desktop.room.Command;

/** The searchable list of everything that can be done now, with its shortcut. */
public final class CommandList extends VBox {
  private final List<Command> commands;
  private final Overlay overlay;
  private final TextField search = Controls.field("command-search", "Find an action");
  private final VBox rows = new VBox(1);

  /** A list of everything that can be done, over the window. */
  public CommandList(List<Command> commands, Overlay overlay) {
    this.commands = commands;
    this.overlay = overlay;
    getStyleClass().add("card");
    setPrefWidth(520);
    rows.setId("command-rows");
    ScrollPane scroll = new ScrollPane(rows);
    scroll.setFitToWidth(true);
    scroll.setPrefHeight(360);
    getChildren()
        .addAll(
            Controls.title("Find an action"),
            search,
            scroll,
            Controls.label("Enter does the first one, Escape leaves", "small"));
    search.textProperty().addListener((o, was, is) -> fill());
    search.setOnAction(event -> runFirst());
    search.setOnKeyPressed(
        event -> {
          if (event.getCode() == KeyCode.DOWN && !rows.getChildren().isEmpty()) {
            rows.getChildren().get(0).requestFocus();
            event.consume();
          }
        });
    fill();
  }

  /** Opens it with an empty search. */
  public void open() {
    overlay.open(this);
    search.requestFocus();
  }

  private void fill() {
    String[] wanted = search.getText().toLowerCase(Locale.ROOT).strip().split("\\s+");
    rows.getChildren().clear();
    for (Command command : commands) {
      String title = command.title().toLowerCase(Locale.ROOT);
      boolean found = java.util.Arrays.stream(wanted).allMatch(title::contains);
      if (found && command.possible().getAsBoolean()) {
        rows.getChildren().add(row(command));
      }
    }
  }

  private Button row(Command command) {
    Button row = new Button();
    row.setId("do-" + command.id());
    row.setText("");
    row.setAccessibleText(command.title());
    row.getStyleClass().setAll("button", "command-row");
    row.setMaxWidth(Double.MAX_VALUE);
    String keys = command.keys().map(k -> k.getDisplayText()).orElse("");
    HBox words =
        Controls.row(
            10, Controls.label(command.title()), Controls.spring(), Controls.label(keys, "small"));
    words.prefWidthProperty().bind(rows.widthProperty().subtract(24));
    row.setGraphic(words);
    row.setOnAction(event -> run(command));
    return row;
  }

  private void runFirst() {
    if (!rows.getChildren().isEmpty()) {
      ((Button) rows.getChildren().get(0)).fire();
    }
  }

  private void run(Command command) {
    overlay.close();
    command.run().run();
  }
}
