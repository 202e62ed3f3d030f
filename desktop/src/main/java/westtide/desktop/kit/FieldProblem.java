package westtide.desktop.kit;

import javafx.application.Platform;
import javafx.beans.InvalidationListener;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.Pane;
import westtide.text.Plain;

/**
 * What is wrong with the text of a field: the field is outlined in red, and a bubble at it says
 * what and what to type instead. Nothing is moved for it; it goes when the cause goes.
 */
final class FieldProblem {
  private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");
  private static final double WIDEST = 380;
  private static final double GAP = 4;

  private final TextField field;
  private final Label bubble = Controls.wrapped("", "problem-bubble");
  private final InvalidationListener moved = change -> place();
  private double column;
  private boolean said;

  FieldProblem(String id, TextField field) {
    this.field = field;
    bubble.setId(id + "-problem");
    bubble.setMouseTransparent(true);
    bubble.setMaxWidth(WIDEST);
    field.sceneProperty().addListener((o, was, is) -> leave());
    field.setAccessibleHelp("");
  }

  private static final int LONGEST = 400;

  /** Says what is wrong, beside a pixel of the field. */
  void say(String whole, double at) {
    String sentence = Plain.of(whole, LONGEST);
    hide();
    column = at;
    said = true;
    bubble.setText(sentence);
    field.pseudoClassStateChanged(WRONG, true);
    field.setAccessibleHelp(sentence);
    if (field.getScene() != null) {
      bubble.setPrefWidth(Math.min(WIDEST, Controls.width(sentence) + 30));
      place();
      field.localToSceneTransformProperty().addListener(moved);
    }
  }

  /** The cause is gone. */
  void clear() {
    said = false;
    field.pseudoClassStateChanged(WRONG, false);
    field.setAccessibleHelp("");
    hide();
  }

  /** Whether something is wrong. */
  boolean said() {
    return said;
  }

  private void place() {
    Bounds at = field.localToScene(field.getLayoutBounds());
    double x = at.getMinX() + column;
    Floating.lay(Floating.host(field), bubble, x, at.getMaxY() + GAP, at.getMinY() - GAP, 0);
  }

  /** The panel the field stands on may be on its way out with all that lies on it. */
  private void leave() {
    field.localToSceneTransformProperty().removeListener(moved);
    Platform.runLater(
        () -> {
          if (!said || field.getScene() == null) {
            hide();
          }
        });
  }

  private void hide() {
    field.localToSceneTransformProperty().removeListener(moved);
    if (bubble.getParent() instanceof Pane host) {
      host.getChildren().remove(bubble);
    }
  }
}
