package westtide.desktop.kit;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListCell;

/**
 * A list of things to do something with: what is picked is handed over at once, and the box shows
 * again what it is for.
 *
 * @param <T> what is picked
 */
public final class Picker<T> extends ComboBox<T> {
  private final Function<T, String> words;

  /** A picker of things that say themselves what they are. */
  public Picker(String id, String prompt, Consumer<T> take) {
    this(id, prompt, T::toString, take);
  }

  /** A picker with words for each thing. */
  public Picker(String id, String prompt, Function<T, String> words, Consumer<T> take) {
    this.words = words;
    setId(id);
    setPromptText(prompt);
    setAccessibleText(prompt);
    setCellFactory(list -> new Named());
    setButtonCell(new Asking());
    setOnAction(
        event -> {
          T picked = getValue();
          if (picked != null) {
            setValue(null);
            take.accept(picked);
          }
        });
  }

  /** Offers other things. */
  public void offer(List<T> things) {
    if (!getItems().equals(things)) {
      getItems().setAll(things);
    }
  }

  /** One of the things. */
  private final class Named extends ListCell<T> {
    @Override
    protected void updateItem(T item, boolean empty) {
      super.updateItem(item, empty);
      setText(empty || item == null ? "" : words.apply(item));
    }
  }

  /** What the box is for, whatever was picked last. */
  private final class Asking extends ListCell<T> {
    @Override
    protected void updateItem(T item, boolean empty) {
      super.updateItem(item, empty);
      setText(getPromptText());
    }
  }
}
