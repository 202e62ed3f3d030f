package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicLong;
import javafx.event.EventHandler;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;
import westtide.song.Song;

/** A real window with the whole frame, in surroundings of its own. */
abstract class WindowTest extends FxRobot {
  private static final int PASTED = 12;

  @TempDir Path folder;
  final AtomicLong clock = new AtomicLong(7);
  private final AtomicLong released = new AtomicLong();
  private final EventHandler<KeyEvent> counting = event -> released.incrementAndGet();
  Shell shell;
  Stage window;

  @BeforeEach
  void openWindow() throws Exception {
    FxToolkit.registerPrimaryStage();
    FxToolkit.setupStage(this::start);
    settle();
  }

  private void start(Stage stage) {
    Path documents = folder.resolve("documents");
    documents.toFile().mkdirs();
    Look.load();
    window = stage;
    stage.addEventFilter(KeyEvent.KEY_RELEASED, counting);
    shell =
        new Shell(
            new Surroundings(
                folder.resolve("data"),
                documents,
                clock::get,
                process -> false,
                Surroundings::silent));
    stage.setScene(shell.scene(1280, 800));
    stage.setWidth(1280);
    stage.setHeight(800);
    stage.setX(0);
    stage.setY(0);
    begin();
    stage.show();
    stage.toFront();
    stage.requestFocus();
  }

  /** What is in front when the test begins. */
  void begin() {
    shell.showStart();
  }

  @AfterEach
  void end() throws TimeoutException {
    release(new KeyCode[0]);
    interact(this::close);
    FxToolkit.cleanupStages();
  }

  /** Ends the frame and lets go of it: all tests share one stage. */
  private void close() {
    shell.close();
    window.removeEventFilter(KeyEvent.KEY_RELEASED, counting);
    window.setScene(null);
  }

  /**
   * Presses keys and waits until the window has seen them let go; a popup may take them instead.
   */
  @Override
  public FxRobot push(KeyCode... combination) {
    long before = released.get();
    super.push(combination);
    try {
      WaitForAsyncUtils.waitFor(1, TimeUnit.SECONDS, () -> released.get() > before);
    } catch (TimeoutException e) {
      return this;
    }
    return this;
  }

  Song song() {
    return shell.open().song();
  }

  void go(westtide.review.Stage stage) {
    interact(() -> shell.go(stage));
    settle();
  }

  /** Waits until every event is handled and the drawing laid out. */
  void settle() {
    WaitForAsyncUtils.waitForFxEvents(2);
    interact(() -> window.getScene().getRoot().layout());
    WaitForAsyncUtils.waitForFxEvents(1);
  }

  void waitFor(Callable<Boolean> condition) {
    waitFor(20, condition);
  }

  void waitFor(int seconds, Callable<Boolean> condition) {
    try {
      WaitForAsyncUtils.waitFor(seconds, TimeUnit.SECONDS, condition);
    } catch (TimeoutException e) {
      throw new AssertionError("waited " + seconds + " s in vain", e);
    }
    settle();
  }

  boolean shown(String query) {
    return lookup(query).tryQuery().filter(Node::isVisible).isPresent();
  }

  String words(String query) {
    return lookup(query).queryAs(Labeled.class).getText();
  }

  /** Replaces what a field holds, long texts as if they were pasted, and presses Enter. */
  void type(String query, String text) {
    clickOn(query);
    TextInputControl field = lookup(query).queryTextInputControl();
    interact(field::selectAll);
    if (text.length() > PASTED) {
      interact(() -> field.replaceSelection(text));
    } else {
      push(KeyCode.DELETE);
      write(text, 0);
    }
    push(KeyCode.ENTER);
    settle();
  }

  /** The middle of a drawn mark on the screen. */
  Point2D middle(String query) {
    Node node = lookup(query).query();
    Bounds bounds = node.localToScreen(node.getLayoutBounds());
    return new Point2D(bounds.getCenterX(), bounds.getCenterY());
  }

  /** Gives the focus to a node. */
  void focus(String query) {
    interact(() -> lookup(query).query().requestFocus());
    settle();
  }

  void press(String... ids) {
    for (String id : ids) {
      clickOn(id);
      settle();
    }
  }

  static void assertHas(String text, String... words) {
    assertThat(text).contains(words);
  }
}
