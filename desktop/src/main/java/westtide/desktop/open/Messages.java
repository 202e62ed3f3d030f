package westtide.desktop.open;

import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;
import westtide.desktop.kit.Controls;
import westtide.file.disk.Folders;
import westtide.review.finding.Stage;
import westtide.text.Plain;

/**
 * Short sentences at the lower edge: what was done, or what could not be done and what to do
 * instead.
 */
public final class Messages extends HBox {
  private final Label words = Controls.wrapped("");
  private final PauseTransition good = new PauseTransition(Duration.seconds(5));

  /** A place for messages, empty at first. */
  public Messages() {
    setId("message");
    words.setId("message-words");
    words.setMaxWidth(1040);
    getStyleClass().add("message");
    getChildren().addAll(words, Controls.action("message-close", "✕", this::hide));
    getChildren().get(1).setStyle("-fx-text-fill: -wt-sheet;");
    setAlignment(Pos.CENTER_LEFT);
    setSpacing(14);
    setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    StackPane.setAlignment(this, Pos.BOTTOM_CENTER);
    StackPane.setMargin(this, new javafx.geometry.Insets(0, 0, 3, 0));
    setVisible(false);
    good.setOnFinished(event -> hide());
  }

  /** Says that something was done; goes away by itself. */
  public void done(String sentence) {
    show(sentence, false);
    good.playFromStart();
  }

  /** Says what one should know of something that was done; stays until it is closed. */
  public void notice(String sentence) {
    good.stop();
    show(sentence, false);
  }

  /** Says what could not be done; stays until it is closed. */
  public void failed(String sentence) {
    good.stop();
    show(sentence, true);
  }

  /** Says that something nobody expected went wrong, and where the log is. */
  public void unexpected() {
    failed("That did not work; nothing was lost. " + logSaysMore());
  }

  /** Says that a sheet failed and stands again. */
  public void builtAnew(Stage sheet) {
    failed("The sheet " + sheet + " failed and was built anew; nothing was lost. " + logSaysMore());
  }

  private static String logSaysMore() {
    return System.getProperty(Folders.PROPERTY, "The data folder") + "/west-tide.log says more.";
  }

  /** The person goes elsewhere: what failed here is not said there. */
  public void leave() {
    if (getStyleClass().contains("bad")) {
      hide();
    }
  }

  /** Takes a message away that begins so, once it is no longer true. */
  public void withdraw(String beginning) {
    if (isVisible() && words.getText().startsWith(beginning)) {
      hide();
    }
  }

  /** Takes the message away. */
  public void hide() {
    setVisible(false);
  }

  /** Letters of the longest message. */
  private static final int LONGEST = 280;

  private void show(String sentence, boolean bad) {
    words.setText(Plain.of(sentence == null ? "That did not work." : sentence, LONGEST));
    getStyleClass().remove("bad");
    if (bad) {
      getStyleClass().add("bad");
    }
    setVisible(true);
  }
}
