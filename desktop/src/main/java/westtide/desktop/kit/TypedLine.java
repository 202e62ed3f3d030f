package westtide.desktop.kit;

import java.util.Optional;
import java.util.function.Function;
import javafx.css.PseudoClass;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import westtide.text.Reading;

/**
 * A line of text that stands for something: Enter or leaving the field takes it, Escape puts back
 * what was there, and what is not understood is said in a bubble at the column where it stands.
 */
public final class TypedLine extends VBox {
  private static final PseudoClass LONG = PseudoClass.getPseudoClass("long");

  private final TextField field;
  private final FieldProblem problem;
  private final Function<String, Optional<Reading.Problem<?>>> take;
  private Object subject = "";
  private String shown = "";

  /** A line with an id; {@code take} uses the text or returns what is wrong with it. */
  public TypedLine(String id, String prompt, Function<String, Optional<Reading.Problem<?>>> take) {
    this.take = take;
    this.field = Controls.field(id, prompt);
    field.getStyleClass().add("typed");
    this.problem = new FieldProblem(id, field);
    getChildren().add(field);
    field.setOnAction(event -> commit());
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is && !problem.said() && !field.getText().equals(shown)) {
                commit();
              }
            });
    field.setOnKeyPressed(
        event -> {
          if (event.getCode() == KeyCode.ESCAPE) {
            restore();
            if (!Floating.layered(this)) {
              event.consume();
            }
          }
        });
  }

  /** Shows a text, unless the person is in the middle of typing or correcting another one. */
  public void show(String text) {
    boolean untouched = field.getText().equals(shown);
    shown = text;
    if (untouched || !field.isFocused() && !problem.said()) {
      restore();
    }
  }

  /**
   * Shows a text of something; what was typed or refused for something else goes with it.
   *
   * @param about what the text is of, such as a lane of a groove
   */
  public void show(String text, Object about) {
    if (about.equals(subject)) {
      show(text);
    } else {
      subject = about;
      shown = text;
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
    Optional<Reading.Problem<?>> wrong = take.apply(field.getText());
    if (wrong.isPresent()) {
      point(wrong.get());
      return;
    }
    restore();
  }

  private void restore() {
    field.setText(shown);
    problem.clear();
  }

  private void point(Reading.Problem<?> wrong) {
    int before = Math.max(0, Math.min(wrong.column() - 1, field.getText().length()));
    Text measured = new Text(field.getText().substring(0, before));
    measured.setFont(field.getFont());
    problem.say(
        "▲ column " + wrong.column() + ": " + wrong.message(),
        measured.getLayoutBounds().getWidth());
    field.positionCaret(before);
  }
}
