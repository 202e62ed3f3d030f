package westtide.desktop.frame.start;

import javafx.animation.PauseTransition;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.util.Duration;

/**
 * A button that is heard while it is held and chosen when it is clicked; H hears it, and H again,
 * or leaving it, ends that.
 */
final class Held {
  private static final Duration BEFORE = Duration.millis(350);

  private final Runnable hear;
  private final Runnable end;
  private final PauseTransition wait = new PauseTransition(BEFORE);
  private boolean heard;
  private boolean byPointer;

  private Held(Runnable hear, Runnable end) {
    this.hear = hear;
    this.end = end;
    wait.setOnFinished(event -> hold());
  }

  /** Lets a button be heard and chosen. */
  static void on(Button button, Runnable hear, Runnable end, Runnable choose) {
    Held held = new Held(hear, end);
    button.addEventFilter(MouseEvent.MOUSE_PRESSED, held::press);
    button.addEventHandler(KeyEvent.KEY_PRESSED, held::key);
    button.armedProperty().addListener((o, was, armed) -> held.letGoUnless(armed));
    button.focusedProperty().addListener((o, was, focused) -> held.endUnless(focused));
    button.setOnAction(event -> held.click(choose));
  }

  private void press(MouseEvent event) {
    byPointer = false;
    if (event.getButton() == MouseButton.PRIMARY) {
      wait.playFromStart();
    }
  }

  private void hold() {
    byPointer = true;
    begin();
  }

  /** The click that ends a hearing chooses nothing. */
  private void click(Runnable choose) {
    wait.stop();
    stop();
    if (!byPointer) {
      choose.run();
    }
    byPointer = false;
  }

  /** A pointer that leaves a pressed button ends what it began. */
  private void letGoUnless(boolean armed) {
    if (!armed) {
      wait.stop();
      stop();
    }
  }

  private void key(KeyEvent event) {
    if (event.getCode() == KeyCode.H) {
      event.consume();
      if (heard) {
        stop();
      } else {
        begin();
      }
    }
  }

  private void endUnless(boolean focused) {
    if (!focused) {
      stop();
    }
  }

  private void begin() {
    heard = true;
    hear.run();
  }

  private void stop() {
    if (heard) {
      heard = false;
      end.run();
    }
  }
}
