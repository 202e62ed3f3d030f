package westtide.desktop.open;

import java.util.EnumSet;
import java.util.Set;
import java.util.function.LongSupplier;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;

/**
 * Tells the open song which edits belong together: those of one drag, from its first move until the
 * button is let go, and those of a run of one key that nudges. Escape gives a drag back.
 */
public final class Gestures {
  private static final long RUN_MILLIS = 700;
  private static final Set<KeyCode> NUDGES =
      EnumSet.of(
          KeyCode.LEFT,
          KeyCode.RIGHT,
          KeyCode.UP,
          KeyCode.DOWN,
          KeyCode.PLUS,
          KeyCode.MINUS,
          KeyCode.EQUALS,
          KeyCode.ADD,
          KeyCode.SUBTRACT,
          KeyCode.COMMA,
          KeyCode.PERIOD,
          KeyCode.OPEN_BRACKET,
          KeyCode.CLOSE_BRACKET);

  private final OpenSong open;
  private final LongSupplier millis;
  private boolean dragging;
  private boolean down;
  private KeyCode last = KeyCode.UNDEFINED;
  private long lastAt;

  private Gestures(OpenSong open, LongSupplier millis) {
    this.open = open;
    this.millis = millis;
  }

  /** Watches all drags and keys of a window, by a clock in milliseconds. */
  public static void watch(Scene scene, OpenSong open, LongSupplier millis) {
    Gestures gestures = new Gestures(open, millis);
    scene.addEventFilter(MouseEvent.MOUSE_PRESSED, event -> gestures.press());
    scene.addEventFilter(MouseEvent.MOUSE_DRAGGED, event -> gestures.drag());
    scene.addEventFilter(MouseEvent.MOUSE_RELEASED, event -> gestures.letGo());
    scene.addEventHandler(MouseEvent.MOUSE_RELEASED, event -> gestures.release());
    scene.addEventFilter(KeyEvent.KEY_PRESSED, gestures::key);
  }

  /** A button was let go where nobody told of it, or a run of a key is over. */
  private void press() {
    down = true;
    release();
    endRun();
  }

  /** Ends with the event, also where somebody keeps it from the window. */
  private void letGo() {
    drag();
    down = false;
    Platform.runLater(
        () -> {
          if (!down) {
            release();
          }
        });
  }

  /** A drag goes on until whoever is dragged has heard where the button was let go. */
  private void drag() {
    if (!dragging) {
      dragging = true;
      open.beginGesture();
    }
  }

  private void release() {
    if (dragging) {
      dragging = false;
      open.endGesture();
    }
  }

  private void key(KeyEvent event) {
    KeyCode code = event.getCode();
    if (code.isModifierKey()) {
      return;
    }
    if (dragging && !down) {
      release();
    }
    if (dragging) {
      if (code == KeyCode.ESCAPE) {
        open.giveBackGesture();
      }
      return;
    }
    long now = millis.getAsLong();
    boolean goesOn = code == last && now - lastAt < RUN_MILLIS;
    lastAt = now;
    if (!goesOn) {
      endRun();
      if (NUDGES.contains(code)) {
        last = code;
        open.beginGesture();
      }
    }
  }

  private void endRun() {
    last = KeyCode.UNDEFINED;
    open.endGesture();
  }
}
