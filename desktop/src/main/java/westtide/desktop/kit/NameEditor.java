package westtide.desktop.kit;

import java.util.function.Consumer;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;

/**
 * A field laid over a drawing where a name stands, to type another. Enter and leaving the field
 * take it, Escape gives the old name back.
 */
public final class NameEditor {
  private NameEditor() {}

  /** Opens the field on a pane; {@code take} is given another name that is not empty. */
  public static void open(
      Pane pane, String id, double x, double y, double width, String name, Consumer<String> take) {
    TextField field = Controls.field(id, "name");
    field.setText(name);
    field.setManaged(false);
    field.setViewOrder(-2.0 * Marks.MOST);
    field.resizeRelocate(x, y, width, 28);
    boolean[] ended = {false};
    Runnable close =
        () -> {
          ended[0] = true;
          pane.getChildren().remove(field);
          pane.requestFocus();
        };
    Runnable commit =
        () -> {
          if (ended[0]) {
            return;
          }
          String typed = field.getText().strip();
          close.run();
          if (!typed.isEmpty() && !typed.equals(name)) {
            take.accept(typed);
          }
        };
    field.setOnAction(event -> commit.run());
    field.setOnKeyPressed(
        event -> {
          if (event.getCode() == KeyCode.ESCAPE) {
            close.run();
            event.consume();
          }
        });
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                commit.run();
              }
            });
    pane.getChildren().add(field);
    field.requestFocus();
    field.selectAll();
  }
}
