package westtide.desktop.kit;

import java.util.List;
import java.util.function.Function;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.shape.Polygon;

/**
 * A button that opens a list.
 *
 * @param <T> what the list holds
 */
abstract class ListButton<T> extends Button {
  private static final double WIDEST = 230;
  private static final double AROUND = 46;

  private final String label;
  private final Function<T, String> words;
  private List<T> things = List.of();

  ListButton(String id, String label, Function<T, String> words) {
    this.label = label;
    this.words = words;
    setId(id);
    setAccessibleText(label);
    getStyleClass().setAll("button", "list-button");
    Polygon mark = new Polygon(0, 0, 8, 0, 4, 5);
    mark.getStyleClass().add("list-mark");
    setGraphic(mark);
    setContentDisplay(ContentDisplay.RIGHT);
    setGraphicTextGap(8);
    setMinWidth(60);
    Controls.explained(this, label);
    fontProperty().addListener((o, was, is) -> fit());
    setOnAction(event -> open());
    addEventHandler(
        KeyEvent.KEY_PRESSED,
        event -> {
          if (event.getCode() == KeyCode.DOWN) {
            open();
            event.consume();
          }
        });
  }

  /** What is picked out when the list opens. */
  abstract T shown();

  /** Uses what a person took. */
  abstract void taken(T thing);

  String label() {
    return label;
  }

  Function<T, String> words() {
    return words;
  }

  /** Offers other things. */
  public void offer(List<T> offered) {
    if (!offered.equals(things)) {
      things = List.copyOf(offered);
      fit();
    }
  }

  /** As wide as the widest of its things, in the size its text has now. */
  void fit() {
    double widest = Controls.width(getText());
    for (T thing : things) {
      widest = Math.max(widest, Controls.width(words.apply(thing)));
    }
    double scale = getFont().getSize() / Controls.TEXT;
    setPrefWidth((Math.min(WIDEST, widest) + AROUND) * scale);
  }

  private void open() {
    new DropList<>(getId(), things, words, this::taken).open(this, shown());
  }
}
