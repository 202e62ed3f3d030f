package westtide.desktop.frame;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.RovingFocus;
import westtide.desktop.open.Overlay;
import westtide.desktop.room.Command;

/**
 * The searchable list of everything that can be done now, with its shortcut, and of every control.
 * It is found by its title and by other words of the trade; where nothing fits, the nearest are
 * named.
 */
public final class CommandList extends VBox {
  private static final int MOST = 150;
  private static final int NEAREST = 4;

  private final List<Command> commands;
  private final List<Command> places;
  private final Map<Command, int[]> titles = new LinkedHashMap<>();
  private final Overlay overlay;
  private final TextField search = Controls.field("command-search", "Find an action or a control");
  private final Label nothing = Controls.wrapped("", "small");
  private final VBox rows = new VBox(1);
  private final RovingFocus focus = RovingFocus.over(rows, rows::getChildren);

  /**
   * A list over the window.
   *
   * @param commands what can be done; listed when nothing is searched for
   * @param places controls and parts to go to; listed when they fit what is searched for
   */
  public CommandList(List<Command> commands, List<Command> places, Overlay overlay) {
    this.commands = commands;
    this.places = places;
    this.overlay = overlay;
    getStyleClass().add("card");
    setPrefWidth(560);
    rows.setId("command-rows");
    nothing.setId("command-nothing");
    ScrollPane scroll = new ScrollPane(rows);
    scroll.setFitToWidth(true);
    scroll.setFocusTraversable(false);
    scroll.setPrefHeight(360);
    getChildren()
        .addAll(
            Controls.title("Find an action or a control"),
            search,
            nothing,
            scroll,
            Controls.label(
                "Enter does the first one, Down goes to the list, Escape leaves", "small"));
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
    String wanted = search.getText().toLowerCase(Locale.ROOT).strip();
    List<Command> found = new ArrayList<>(fitting(commands, wanted));
    if (!wanted.isEmpty()) {
      found.addAll(fitting(places, wanted));
    }
    nothing.setText("");
    if (found.isEmpty()) {
      found = nearest(wanted);
      nothing.setText("Nothing is called “" + search.getText().strip() + "”. The nearest:");
    }
    rows.getChildren().clear();
    found.stream().limit(MOST).forEach(command -> rows.getChildren().add(row(command)));
    focus.enterAt(0);
  }

  /** Those with every word in their title; then those with words that mean the same. */
  private static List<Command> fitting(List<Command> all, String wanted) {
    String[] words = wanted.split("\\s+");
    List<Command> out = new ArrayList<>();
    List<Command> meant = new ArrayList<>();
    for (Command command : all) {
      String title = command.title().toLowerCase(Locale.ROOT);
      if (!command.possible().getAsBoolean()) {
        continue;
      }
      if (Arrays.stream(words).allMatch(title::contains)) {
        out.add(command);
      } else if (Arrays.stream(words).allMatch(word -> OtherWords.has(title, word))) {
        meant.add(command);
      }
    }
    out.addAll(meant);
    return out;
  }

  private List<Command> nearest(String wanted) {
    record Near(Command command, double alike) {}
    int[] pairs = OtherWords.pairs(wanted);
    if (titles.isEmpty()) {
      Stream.concat(commands.stream(), places.stream())
          .forEach(command -> titles.put(command, OtherWords.pairs(command.title())));
    }
    return titles.keySet().stream()
        .filter(command -> command.possible().getAsBoolean())
        .map(command -> new Near(command, OtherWords.alike(titles.get(command), pairs)))
        .sorted(Comparator.comparingDouble(Near::alike).reversed())
        .limit(NEAREST)
        .map(Near::command)
        .toList();
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
