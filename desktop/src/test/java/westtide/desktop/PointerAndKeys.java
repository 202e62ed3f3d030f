package westtide.desktop;

import com.sun.javafx.scene.NodeHelper;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import javafx.application.Platform;
import javafx.collections.ListChangeListener;
import javafx.event.EventHandler;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Parent;
import javafx.scene.input.InputEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.robot.Robot;
import javafx.stage.Window;

/**
 * The pointer and the keys of the display. Every move, press and release waits until a window has
 * received it, so nothing depends on how fast the machine is.
 */
final class PointerAndKeys {
  private static final long PATIENCE_MS = 20_000;
  private static final double NEAR = 0.5;

  private final Map<EventType<?>, Long> received = new HashMap<>();
  private final EventHandler<InputEvent> receiving = this::receive;
  private final ListChangeListener<Window> windows = this::watchWindows;
  private Point2D pointer = Point2D.ZERO;
  private Robot robot;

  /** Begins to watch what the windows receive. */
  void begin() {
    onWindow(
        () -> {
          robot = new Robot();
          Window.getWindows().addListener(windows);
          Window.getWindows().forEach(this::watch);
        });
  }

  /** Lets go of every button and every window. */
  void end() {
    onWindow(
        () -> {
          robot.mouseRelease(MouseButton.PRIMARY, MouseButton.SECONDARY);
          Window.getWindows().removeListener(windows);
          Window.getWindows().forEach(this::leave);
        });
  }

  private void watchWindows(ListChangeListener.Change<? extends Window> change) {
    while (change.next()) {
      change.getRemoved().forEach(this::leave);
      change.getAddedSubList().forEach(this::watch);
    }
  }

  private void watch(Window window) {
    window.removeEventFilter(InputEvent.ANY, receiving);
    window.addEventFilter(InputEvent.ANY, receiving);
  }

  private void leave(Window window) {
    window.removeEventFilter(InputEvent.ANY, receiving);
  }

  private synchronized void receive(InputEvent event) {
    received.merge(event.getEventType(), 1L, Long::sum);
    if (event instanceof MouseEvent mouse) {
      pointer = new Point2D(mouse.getScreenX(), mouse.getScreenY());
    }
    notifyAll();
  }

  private synchronized long count(EventType<?> type) {
    return received.getOrDefault(type, 0L);
  }

  /** Moves the pointer to a place on the screen, in pixels. */
  void move(Point2D place) {
    Point2D to = new Point2D(Math.rint(place.getX()), Math.rint(place.getY()));
    boolean[] there = new boolean[1];
    onWindow(
        () -> {
          there[0] = robot.getMousePosition().distance(to) < NEAR;
          robot.mouseMove(to);
        });
    if (!there[0]) {
      await("the pointer at " + to, () -> pointer.distance(to) < NEAR);
    }
  }

  /** Moves the pointer by way of places between, as a drag needs them. */
  void glide(Point2D from, Point2D to) {
    move(from.interpolate(to, 0.35));
    move(from.interpolate(to, 0.7));
    move(to);
  }

  void press(MouseButton button) {
    send("a button pressed", MouseEvent.MOUSE_PRESSED, () -> robot.mousePress(button));
  }

  void release(MouseButton button) {
    send("a button let go", MouseEvent.MOUSE_RELEASED, () -> robot.mouseRelease(button));
  }

  void click(MouseButton button) {
    press(button);
    release(button);
  }

  /** Presses keys one after another and lets them go in reverse. */
  void push(KeyCode... keys) {
    for (KeyCode key : keys) {
      send(key + " pressed", KeyEvent.KEY_PRESSED, () -> robot.keyPress(key));
    }
    for (int i = keys.length - 1; i >= 0; i--) {
      KeyCode key = keys[i];
      send(key + " let go", KeyEvent.KEY_RELEASED, () -> robot.keyRelease(key));
    }
  }

  void hold(KeyCode key) {
    send(key + " held", KeyEvent.KEY_PRESSED, () -> robot.keyPress(key));
  }

  void letGo(KeyCode key) {
    send(key + " let go", KeyEvent.KEY_RELEASED, () -> robot.keyRelease(key));
  }

  private void send(String what, EventType<?> type, Runnable input) {
    long before = count(type);
    onWindow(input);
    await(what, () -> count(type) > before);
    onWindow(PointerAndKeys::layOut);
  }

  private synchronized void await(String what, BooleanSupplier arrived) {
    long end = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(PATIENCE_MS);
    while (!arrived.getAsBoolean()) {
      long left = TimeUnit.NANOSECONDS.toMillis(end - System.nanoTime());
      if (left <= 0) {
        throw new AssertionError("no window received " + what);
      }
      try {
        wait(left);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new AssertionError("interrupted while waiting for " + what, e);
      }
    }
  }

  /**
   * Gives everything that changed its look and its place, as the next picture on the screen would.
   * Unlike {@link javafx.scene.Node#applyCss()} it leaves alone what kept its look: that is most of
   * the window, and was half of the time of a test.
   */
  static void layOut() {
    for (Window window : List.copyOf(Window.getWindows())) {
      Parent root = window.getScene().getRoot();
      NodeHelper.processCSS(root);
      root.layout();
    }
  }

  /** What the window's thread is doing, for whoever reads the failure. */
  private static String whereTheWindowIs() {
    StringBuilder out = new StringBuilder();
    Thread.getAllStackTraces()
        .forEach(
            (thread, stack) -> {
              if (thread.getName().equals("JavaFX Application Thread")) {
                out.append(" (").append(thread.getState()).append(')');
                Arrays.stream(stack).limit(40).forEach(at -> out.append("\n  in ").append(at));
              }
            });
    return out.toString();
  }

  /** Runs on the window's thread and waits until it is done. */
  static void onWindow(Runnable work) {
    if (Platform.isFxApplicationThread()) {
      work.run();
      return;
    }
    CountDownLatch done = new CountDownLatch(1);
    Throwable[] failure = new Throwable[1];
    Platform.runLater(
        () -> {
          try {
            work.run();
          } catch (RuntimeException | Error e) {
            failure[0] = e;
          } finally {
            done.countDown();
          }
        });
    try {
      if (!done.await(PATIENCE_MS, TimeUnit.MILLISECONDS)) {
        throw new AssertionError("the window's thread is stuck" + whereTheWindowIs());
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new AssertionError("interrupted while waiting for the window's thread", e);
    }
    if (failure[0] instanceof Error error) {
      throw error;
    }
    if (failure[0] != null) {
      throw (RuntimeException) failure[0];
    }
  }
}
