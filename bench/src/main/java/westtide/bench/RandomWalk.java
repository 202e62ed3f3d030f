package westtide.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Control;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.stage.Window;
import westtide.desktop.Main;

/**
 * Somebody who does anything: clicks on controls and drawings, drags, types, presses keys and keys
 * of the house, with the pointer and the keyboard of the machine, in the application as it ships.
 * Every step is drawn from a seed. Says how many steps were done; what went wrong is in the log.
 */
public final class RandomWalk {
  private static final long STEP_NANOS = 60_000_000L;
  private static final long SECOND = 1_000_000_000L;
  private static final int STUCK_SECONDS = 60;
  private static final List<KeyCode> KEYS =
      List.of(
          KeyCode.TAB,
          KeyCode.ENTER,
          KeyCode.SPACE,
          KeyCode.ESCAPE,
          KeyCode.UP,
          KeyCode.DOWN,
          KeyCode.LEFT,
          KeyCode.RIGHT,
          KeyCode.HOME,
          KeyCode.END,
          KeyCode.PAGE_UP,
          KeyCode.PAGE_DOWN,
          KeyCode.DELETE,
          KeyCode.BACK_SPACE,
          KeyCode.INSERT,
          KeyCode.PLUS,
          KeyCode.MINUS,
          KeyCode.F1,
          KeyCode.F2);

  private final Random random;
  private Robot robot;
  private int steps;

  private RandomWalk(long seed) {
    random = new Random(seed);
  }

  /** Walks for so many seconds from a seed, in the application started with the other words. */
  public static void main(String[] words) throws Exception {
    RandomWalk walk = new RandomWalk(Long.parseLong(words[1]));
    Thread window =
        new Thread(() -> Main.main(java.util.Arrays.copyOfRange(words, 2, words.length)), "start");
    window.setDaemon(true);
    window.start();
    walk.go(Long.parseLong(words[0]));
    System.out.println(walk.steps);
    System.exit(0);
  }

  private void go(long seconds) throws InterruptedException {
    long end = System.nanoTime() + seconds * SECOND;
    while (Window.getWindows().isEmpty()) {
      LockSupport.parkNanos(SECOND / 10);
    }
    while (System.nanoTime() < end) {
      CountDownLatch done = new CountDownLatch(1);
      Platform.runLater(
          () -> {
            try {
              step();
            } finally {
              done.countDown();
            }
          });
      if (!done.await(STUCK_SECONDS, TimeUnit.SECONDS)) {
        System.out.println("the window did not answer for a minute after step " + steps);
        System.exit(1);
      }
      steps++;
      LockSupport.parkNanos(STEP_NANOS);
    }
  }

  private void step() {
    if (robot == null) {
      robot = new Robot();
    }
    Scene scene = front();
    if (scene == null) {
      return;
    }
    switch (random.nextInt(12)) {
      case 0, 1, 2, 3 -> click(scene);
      case 4, 5 -> drag(scene);
      case 6, 7 -> type();
      case 8 -> wheel(scene);
      case 9 -> chord();
      default -> tap(KEYS.get(random.nextInt(KEYS.size())));
    }
  }

  /** The topmost window: a list that dropped down, or the frame. */
  private static Scene front() {
    List<Window> windows = Window.getWindows();
    return windows.isEmpty() ? null : windows.get(windows.size() - 1).getScene();
  }

  private void click(Scene scene) {
    List<Node> nodes = new ArrayList<>();
    collect(scene.getRoot(), nodes);
    if (nodes.isEmpty()) {
      moveInto(scene);
    } else {
      Node node = nodes.get(random.nextInt(nodes.size()));
      Bounds at = node.localToScreen(node.getBoundsInLocal());
      if (at != null) {
        robot.mouseMove(
            at.getMinX() + random.nextDouble() * at.getWidth(),
            at.getMinY() + random.nextDouble() * at.getHeight());
      }
    }
    robot.mouseClick(random.nextInt(8) == 0 ? MouseButton.SECONDARY : MouseButton.PRIMARY);
  }

  private static void collect(Node node, List<Node> out) {
    if (!node.isVisible() || node.isDisabled()) {
      return;
    }
    if (node instanceof Control || node.getId() != null) {
      out.add(node);
    }
    if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(child -> collect(child, out));
    }
  }

  private void moveInto(Scene scene) {
    robot.mouseMove(
        scene.getWindow().getX() + random.nextDouble() * scene.getWidth(),
        scene.getWindow().getY() + random.nextDouble() * scene.getHeight());
  }

  private void drag(Scene scene) {
    KeyCode held = List.of(KeyCode.SHIFT, KeyCode.CONTROL, KeyCode.ALT).get(random.nextInt(3));
    boolean holding = random.nextInt(3) == 0;
    if (holding) {
      robot.keyPress(held);
    }
    moveInto(scene);
    robot.mousePress(MouseButton.PRIMARY);
    for (int i = random.nextInt(5); i >= 0; i--) {
      moveInto(scene);
    }
    robot.mouseRelease(MouseButton.PRIMARY);
    if (holding) {
      robot.keyRelease(held);
    }
  }

  private void wheel(Scene scene) {
    moveInto(scene);
    robot.mouseWheel(random.nextInt(7) - 3);
  }

  private void type() {
    for (int i = random.nextInt(6); i >= 0; i--) {
      int letter = random.nextInt(36);
      tap(
          KeyCode.valueOf(
              letter < 26 ? String.valueOf((char) ('A' + letter)) : "DIGIT" + (letter - 26)));
    }
  }

  /** A key of the house: Ctrl, and perhaps Shift, with a letter; not what ends the application. */
  private void chord() {
    char letter = (char) ('A' + random.nextInt(26));
    if (letter == 'Q' || letter == 'W') {
      return;
    }
    boolean shift = random.nextInt(3) == 0;
    robot.keyPress(KeyCode.CONTROL);
    if (shift) {
      robot.keyPress(KeyCode.SHIFT);
    }
    tap(KeyCode.valueOf(String.valueOf(letter)));
    if (shift) {
      robot.keyRelease(KeyCode.SHIFT);
    }
    robot.keyRelease(KeyCode.CONTROL);
  }

  private void tap(KeyCode key) {
    robot.keyPress(key);
    robot.keyRelease(key);
  }
}
