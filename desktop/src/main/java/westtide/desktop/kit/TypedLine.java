package westtide.desktop.kit;

import java.util.Optional;
import java.util.function.Function;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;

/**
 * A line of text that stands for something: Enter or leaving the field takes it, Escape puts back
 * what was there, and what is not understood is said below, under the column where it stands.
 */
public final class TypedLine extends VBox {
  /**
   * What is wrong with a line.
   *
   * @param column where, from 1
   * @param message what, in one sentence
   */
  public record Trouble(int column, String message) {}

  private static final double PADDING = 12;
  private static final PseudoClass LONG = PseudoClass.getPseudoClass("long");

  private final TextField field;
  private final Label problem = Controls.wrapped("", "problem");
  private final Function<String, Optional<Trouble>> take;
  private String shown = "";

  /** A line with an id; {@code take} uses the text or returns what is wrong with it. */
  public TypedLine(String id, String prompt, Function<String, Optional<Trouble>> take) {
    this.take = take;
    this.field = Controls.field(id, prompt);
    field.getStyleClass().add("typed");
    problem.setId(id + "-problem");
    problem.setVisible(false);
    problem.setManaged(false);
    getChildren().addAll(field, problem);
    field.setOnAction(event -> commit());
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is && !field.getText().equals(shown)) {
                commit();
              }
            });
    field.setOnKeyPressed(
        event -> {
          if (event.getCode() == KeyCode.ESCAPE) {
            restore();
            event.consume();
          }
        });
  }

  /** Shows a text, unless the person is in the middle of typing or correcting another one. */
  public void show(String text) {
    boolean untouched = field.getText().equals(shown);
    shown = text;
    if (untouched || !field.isFocused()) {
      restore();
    }
  }

  /** Writes smaller where the text has more characters than that, so that more of it is seen. */
  public TypedLine smallerFrom(int characters) {
    field
        .textProperty()
        .addListener((o, was, is) -> field.pseudoClassStateChanged(LONG, is.length() > characters));
    return this;
  }

  /** The field itself. */
  public TextField field() {
    return field;
  }

  private void commit() {
    Optional<Trouble> trouble = take.apply(field.getText());
    if (trouble.isPresent()) {
      point(trouble.get());
      return;
    }
    clear();
    field.setText(shown);
  }

  private void restore() {
    field.setText(shown);
    clear();
  }

  private void clear() {
    field.getStyleClass().remove("wrong");
    problem.setVisible(false);
    problem.setManaged(false);
  }

  private void point(Trouble trouble) {
    if (!field.getStyleClass().contains("wrong")) {
      field.getStyleClass().add("wrong");
    }
    int before = Math.max(0, Math.min(trouble.column() - 1, field.getText().length()));
    Text measured = new Text(field.getText().substring(0, before));
    measured.setFont(field.getFont());
    double x = Math.min(measured.getLayoutBounds().getWidth(), Math.max(0, getWidth() - 420));
    problem.setText("▲ column " + trouble.column() + ": " + trouble.message());
    problem.setPadding(new javafx.geometry.Insets(2, 0, 0, PADDING + x));
    problem.setVisible(true);
    problem.setManaged(true);
    field.positionCaret(before);
  }
}
