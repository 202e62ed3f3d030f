package westtide.desktop.kit;

import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.ComboBox;

/**
 * A list of which one thing is chosen. What a person chooses is handed over; what is displayed
 * because the song says so is not.
 *
 * @param <T> what is chosen
 */
public final class Chooser<T> extends ComboBox<T> {
  private boolean displaying;

  /** A chooser among things; {@code words} say what for. */
  public Chooser(String id, String words, List<T> things, Consumer<T> take) {
    setId(id);
    setAccessibleText(words);
    getItems().addAll(things);
    setOnAction(
        event -> {
          if (!displaying && getValue() != null) {
            take.accept(getValue());
          }
        });
  }

  /** Displays what is chosen now. */
  public void display(T thing) {
    display(getItems(), thing);
  }

  /** Displays what is chosen now, and other things to choose from. */
  public void display(List<T> things, T thing) {
    displaying = true;
    if (!getItems().equals(things)) {
      getItems().setAll(things);
    }
    setValue(thing);
    displaying = false;
  }
}
