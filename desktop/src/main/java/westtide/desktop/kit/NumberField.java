package westtide.desktop.kit;

import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.function.IntSupplier;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * A number that can be typed, nudged (buttons, arrow keys, Shift for ten times as much) and dragged
 * up and down by its label. What is typed wrongly is said in a bubble and stays to be corrected;
 * Escape gives the old number back.
 */
public final class NumberField extends VBox {
  private static final double PIXELS_PER_NUDGE = 6;

  private final TextField field;
  private final FieldProblem problem;
  private final Consumer<String> take;
  private final IntConsumer nudge;
  private Object subject = "";
  private String shown = "";
  private double dragFrom;

  /**
   * A field with an id.
   *
   * @param take uses what was typed; throws {@link IllegalArgumentException} with a sentence when
   *     it cannot
   * @param nudge moves the number by that many units
   */
  public NumberField(String id, String name, Consumer<String> take, IntConsumer nudge) {
    this.take = take;
    this.nudge = nudge;
    this.field = Controls.field(id, name);
    field.getStyleClass().add("figure");
    field.setPrefWidth(92);
    field.setMinWidth(92);
    this.problem = new FieldProblem(id, field);
    Label label = Controls.label(name, "small");
    label.setId(id + "-label");
    label.setStyle("-fx-cursor: v-resize;");
    label.setOnMousePressed(event -> dragFrom = event.getScreenY());
    label.setOnMouseDragged(this::drag);
    HBox row =
        Controls.row(
            4,
            Controls.explained(Controls.action(id + "-down", "−", () -> nudge.accept(-1)), "Less"),
            field,
            Controls.explained(Controls.action(id + "-up", "+", () -> nudge.accept(1)), "More"));
    getChildren().addAll(label, row);
    setSpacing(2);
    field.setOnAction(event -> commit());
    field.focusedProperty().addListener((o, was, is) -> leave(is));
    field.setOnKeyPressed(
        event -> {
          int step = event.isShiftDown() ? 10 : 1;
          if (event.getCode() == KeyCode.ESCAPE) {
            restore();
            if (!Floating.layered(this)) {
              event.consume();
            }
          } else if (event.getCode() == KeyCode.UP) {
            nudge.accept(step);
            event.consume();
          } else if (event.getCode() == KeyCode.DOWN) {
            nudge.accept(-step);
            event.consume();
          }
        });
  }

  /** A field of whole numbers; anything else that is typed is refused in a sentence. */
  public static NumberField whole(String id, String name, IntConsumer take, IntConsumer nudge) {
    return new NumberField(id, name, text -> take.accept(read(text)), nudge);
  }

  /** A field of whole numbers whose nudges stay inside a range; what is typed is taken as it is. */
  public static NumberField held(
      String id, String name, int low, int high, IntSupplier now, IntConsumer take) {
    NumberField out =
        whole(
            id, name, take, by -> take.accept(Math.max(low, Math.min(high, now.getAsInt() + by))));
    Controls.explained(out.field, "from " + low + " to " + high);
    return out;
  }

  private static int read(String text) {
    try {
      return Integer.parseInt(text.strip().replace('−', '-'));
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException("type a whole number, such as 12", e);
    }
  }

  /** The same field in a smaller hand, for where there are many. */
  public NumberField compact() {
    getStyleClass().add("compact");
    field.setPrefWidth(62);
    field.setMinWidth(62);
    return this;
  }

  /** The same field with its name beside it; it is nudged by keys and by dragging its name. */
  public NumberField inline() {
    Label name = (Label) getChildren().get(0);
    name.setMinWidth(USE_PREF_SIZE);
    field.setPrefWidth(52);
    field.setMinWidth(52);
    getChildren().setAll(Controls.row(4, name, field));
    setMinWidth(USE_PREF_SIZE);
    setAlignment(Pos.CENTER_LEFT);
    return this;
  }

  /** The same field with room for a value and its unit. */
  public NumberField wide() {
    field.setPrefWidth(108);
    field.setMinWidth(108);
    return this;
  }

  /** The same field saying what its number means, before its range. */
  public NumberField telling(String words) {
    String range = Controls.explanation(field).map(known -> "; " + known).orElse("");
    Controls.explained(field, words + range);
    return this;
  }

  /** Puts the cursor into the field. */
  public void focus() {
    field.requestFocus();
  }

  /** Shows a number; what is being typed or corrected stays until another number is shown. */
  public void show(String number) {
    boolean typing = problem.said() || field.isFocused() && !field.getText().equals(shown);
    if (!typing || !number.equals(shown)) {
      shown = number;
      restore();
    }
  }

  /** Shows a number of something; what was typed or refused for something else goes with it. */
  public void show(String number, Object about) {
    if (!about.equals(subject)) {
      subject = about;
      shown = number;
      restore();
    }
    show(number);
  }

  private void restore() {
    field.setText(shown);
    problem.clear();
  }

  private void drag(MouseEvent event) {
    int units = (int) ((dragFrom - event.getScreenY()) / PIXELS_PER_NUDGE);
    if (units != 0) {
      dragFrom -= units * PIXELS_PER_NUDGE;
      nudge.accept(units);
    }
  }

  private void leave(boolean focused) {
    if (!focused && !problem.said() && !field.getText().equals(shown)) {
      commit();
    }
  }

  private void commit() {
    try {
      take.accept(field.getText());
      restore();
    } catch (IllegalArgumentException e) {
      problem.say(e.getMessage(), 0);
    }
  }
}
