package westtide.desktop.files;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.open.Overlay;

/** Asks once, with a few answers of which the last one is the usual. */
public final class Question extends VBox {
  /**
   * An answer.
   *
   * @param id the id of its button
   * @param words what it says
   * @param run what it does
   */
  record Answer(String id, String words, Runnable run) {}

  private Question(Overlay overlay, String title, String sentence, List<Answer> answers) {
    getStyleClass().add("card");
    setId("question");
    setPrefWidth(470);
    HBox buttons = Controls.row(8, Controls.spring());
    for (int i = 0; i < answers.size(); i++) {
      Answer answer = answers.get(i);
      Runnable run =
          () -> {
            overlay.close();
            answer.run().run();
          };
      Button button =
          i == answers.size() - 1
              ? Controls.primary(answer.id(), answer.words(), run)
              : Controls.action(answer.id(), answer.words(), run);
      button.setDefaultButton(i == answers.size() - 1);
      buttons.getChildren().add(button);
    }
    getChildren().addAll(Controls.title(title), Controls.wrapped(sentence), buttons);
  }

  /** Asks in front of the window; nothing goes on until one of the answers is chosen. */
  public static void ask(Overlay overlay, String title, String sentence, List<Answer> answers) {
    Question question = new Question(overlay, title, sentence, answers);
    overlay.open(question);
    ((HBox) question.getChildren().get(2)).getChildren().get(answers.size()).requestFocus();
  }
}
