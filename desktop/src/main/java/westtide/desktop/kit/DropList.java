package westtide.desktop.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;

/**
 * A list that opens under a button: typing searches it, the arrows go through what is found, Enter
 * or a click takes one, Escape takes none. Nothing is taken by passing over it.
 *
 * @param <T> what is taken
 */
final class DropList<T> extends VBox {
  private static final double ROW = 27;
  private static final int MOST_ROWS = 10;

  private final List<T> things;
  private final Function<T, String> words;
  private final Consumer<T> take;
  private final TextField search;
  private final ListView<T> list = new ListView<>();
  private Optional<Floating> floating = Optional.empty();

  DropList(String id, List<T> things, Function<T, String> words, Consumer<T> take) {
    this.things = List.copyOf(things);
    this.words = words;
    this.take = take;
    this.search = Controls.field(id + "-search", "type to find");
    list.setId(id + "-list");
    list.setFocusTraversable(false);
    list.setFixedCellSize(ROW);
    list.setCellFactory(shown -> new Row());
    list.setPrefHeight(ROW * Math.min(MOST_ROWS, Math.max(1, things.size())) + 2);
    setSpacing(4);
    getChildren().addAll(search, list);
    search.textProperty().addListener((o, was, is) -> find(is));
    search.setOnAction(event -> takeChosen());
    search.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    list.getItems().setAll(this.things);
  }

  /** Opens the list under a button with one thing picked out. */
  void open(javafx.scene.control.Control owner, T chosen) {
    setPrefWidth(Math.max(owner.getWidth(), widest()));
    floating = Optional.of(Floating.under(owner, this));
    choose(chosen == null ? 0 : Math.max(0, things.indexOf(chosen)));
    search.requestFocus();
  }

  private double widest() {
    double widest = 150;
    for (T thing : things) {
      widest = Math.max(widest, Controls.width(words.apply(thing)) + 44);
    }
    return Math.min(420, widest);
  }

  private void key(KeyEvent event) {
    int by =
        switch (event.getCode()) {
          case UP -> -1;
          case DOWN -> 1;
          case PAGE_UP -> -MOST_ROWS;
          case PAGE_DOWN -> MOST_ROWS;
          default -> 0;
        };
    if (by != 0) {
      int last = list.getItems().size() - 1;
      choose(Math.max(0, Math.min(last, list.getSelectionModel().getSelectedIndex() + by)));
      event.consume();
    }
  }

  private void choose(int index) {
    list.getSelectionModel().select(index);
    list.scrollTo(Math.max(0, index - MOST_ROWS / 2));
  }

  private void find(String typed) {
    String wanted = typed.strip().toLowerCase(Locale.ROOT);
    List<T> found = new ArrayList<>();
    int best = 0;
    int rank = 0;
    for (T thing : things) {
      int here = rank(words.apply(thing).toLowerCase(Locale.ROOT), wanted);
      if (here > 0) {
        if (here > rank) {
          best = found.size();
          rank = here;
        }
        found.add(thing);
      }
    }
    list.getItems().setAll(found);
    list.setPlaceholder(
        Controls.wrapped("Nothing here is called “" + typed.strip() + "”.", "small"));
    choose(best);
  }

  /** How well a name answers what is wanted: 0 not at all, 3 exactly. */
  private static int rank(String name, String wanted) {
    if (name.equals(wanted)) {
      return 3;
    }
    return name.startsWith(wanted) ? 2 : name.contains(wanted) ? 1 : 0;
  }

  private void takeChosen() {
    T chosen = list.getSelectionModel().getSelectedItem();
    if (chosen != null) {
      floating.ifPresent(Floating::close);
      take.accept(chosen);
    }
  }

  /** One of the things. */
  private final class Row extends ListCell<T> {
    Row() {
      setOnMouseClicked(
          event -> {
            if (!isEmpty()) {
              list.getSelectionModel().select(getIndex());
              takeChosen();
            }
          });
    }

    @Override
    protected void updateItem(T item, boolean empty) {
      super.updateItem(item, empty);
      setText(empty || item == null ? "" : words.apply(item));
    }
  }
}
