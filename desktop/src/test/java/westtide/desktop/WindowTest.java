package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicLong;
import javafx.event.Event;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.service.query.NodeQuery;
import org.testfx.util.WaitForAsyncUtils;
import westtide.desktop.files.DemoSongs;
import westtide.desktop.open.Look;
import westtide.song.Song;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Form;
import westtide.sound.Listening;
import westtide.sound.SharedTables;

/** A real window with the whole frame, in surroundings of its own. */
abstract class WindowTest {
  private static final int PASTED = 12;
  private static final Set<String> WRITERS =
      Set.of("keeping unsaved work", "beside the window", "rendering beside the window");

  /** Sounds are the same for every window, and are made once. */
  private static final SharedTables TABLES = SharedTables.all();

  /** Read once. */
  private static final List<Song> DEMOS = DemoSongs.all();

  @TempDir Path folder;

  /** Whether the song is rendered and measured beside the window, which takes a while. */
  volatile boolean hearing;

  final AtomicLong clock = new AtomicLong(7);
  private final FxRobot eyes = new FxRobot();
  private final PointerAndKeys hands = new PointerAndKeys();
  Shell shell;
  Stage window;

  @BeforeAll
  static void loadLook() throws Exception {
    FxToolkit.registerPrimaryStage();
    PointerAndKeys.onWindow(Look::load);
  }

  @BeforeEach
  void openWindow() throws Exception {
    window = FxToolkit.registerPrimaryStage();
    hands.begin();
    interact(this::start);
    waitFor(window::isFocused);
  }

  private void start() {
    Path documents = folder.resolve("documents");
    documents.toFile().mkdirs();
    shell =
        new Shell(
            new Environment(
                folder.resolve("data"),
                documents,
                clock::get,
                java.time.Clock.systemDefaultZone(),
                Environment::silent,
                TABLES,
                (score, watch) -> hearing ? Listening.of(score, watch) : Optional.empty()));
    window.setScene(shell.scene(1280, 800));
    window.setWidth(1280);
    window.setHeight(800);
    window.setX(0);
    window.setY(0);
    shell.appearance().pages().open().set(pagesOpen());
    begin();
    window.show();
    window.toFront();
    window.requestFocus();
  }

  /** Most tests work on the pages under the drawings; a new window has them folded. */
  boolean pagesOpen() {
    return true;
  }

  /** A demo song. */
  static Song demo(int place) {
    return DEMOS.get(place);
  }

  /** What is in front when the test begins. */
  void begin() {
    shell.showStart();
  }

  /** Ends the frame and lets go of it: all tests share one stage. */
  @AfterEach
  void end() {
    hands.end();
    interact(
        () -> {
          shell.close();
          window.hide();
          window.setScene(null);
        });
    waitFor(60, () -> Thread.getAllStackTraces().keySet().stream().noneMatch(WindowTest::writes));
  }

  /** Whether a thread may still write into the folder that goes with the test. */
  private static boolean writes(Thread thread) {
    return WRITERS.contains(thread.getName());
  }

  /** Finds nodes in every window shown, by id, style class or text. */
  NodeQuery lookup(String query) {
    return eyes.lookup(query);
  }

  /** Runs on the window's thread and waits until it is done. */
  void interact(Runnable work) {
    PointerAndKeys.onWindow(work);
  }

  /** Presses keys together, waiting until the window has seen each. */
  void push(KeyCode... keys) {
    hands.push(keys);
  }

  /** Types characters where the focus is. */
  void write(String text) {
    for (char character : text.toCharArray()) {
      interact(
          () -> {
            Node focus = window.getScene().getFocusOwner();
            Event.fireEvent(focus, typed(String.valueOf(character)));
          });
    }
  }

  private static KeyEvent typed(String character) {
    return new KeyEvent(
        KeyEvent.KEY_TYPED, character, "", KeyCode.UNDEFINED, false, false, false, false);
  }

  void clickOn(String query) {
    reveal(query);
    clickOn(middle(query));
  }

  /** Scrolls to a node where it lies out of view in something that scrolls, as a person would. */
  private void reveal(String query) {
    settle();
    interact(
        () -> {
          Node node = lookup(query).match(Node::isVisible).query();
          for (Node at = node.getParent(); at != null; at = at.getParent()) {
            if (at instanceof ScrollPane pane && pane.getContent() != null) {
              reveal(pane, node);
            }
          }
        });
  }

  private static void reveal(ScrollPane pane, Node node) {
    double turn = 0.05;
    for (int turns = 0; turns < 20; turns++) {
      Bounds at = pane.sceneToLocal(node.localToScene(node.getLayoutBounds()));
      boolean below = at.getMaxY() > pane.getHeight() && pane.getVvalue() < 1;
      boolean above = at.getMinY() < 0 && pane.getVvalue() > 0;
      if (below == above) {
        return;
      }
      pane.setVvalue(Math.max(0, Math.min(1, pane.getVvalue() + (below ? turn : -turn))));
      pane.layout();
    }
  }

  void clickOn(Point2D place) {
    hands.move(place);
    hands.click(MouseButton.PRIMARY);
  }

  void doubleClickOn(String query) {
    doubleClickOn(middle(query));
  }

  void doubleClickOn(Point2D place) {
    clickOn(place);
    hands.click(MouseButton.PRIMARY);
  }

  /** Presses the other button on a place. */
  void menuOn(Point2D place) {
    hands.move(place);
    hands.click(MouseButton.SECONDARY);
    settle();
  }

  /** Clicks somewhere else, so that the next click is not the second of two. */
  void waitOutDoubleClick() {
    hands.move(new Point2D(3, 3));
    hands.click(MouseButton.SECONDARY);
  }

  /** Drags from one place on the screen to another. */
  void drag(Point2D from, Point2D to) {
    drag(MouseButton.PRIMARY, from, to);
  }

  void drag(MouseButton button, Point2D from, Point2D to) {
    hands.move(from);
    hands.press(button);
    hands.glide(from, to);
    hands.release(button);
    settle();
  }

  /** Presses the first button on a place and holds it. */
  void pressAt(Point2D place) {
    hands.move(place);
    hands.press(MouseButton.PRIMARY);
  }

  void glide(Point2D from, Point2D to) {
    hands.glide(from, to);
  }

  void release() {
    hands.release(MouseButton.PRIMARY);
  }

  /** Holds a key until it is let go. */
  void hold(KeyCode key) {
    hands.hold(key);
  }

  void letGo(KeyCode key) {
    hands.letGo(key);
  }

  Song song() {
    return shell.open().song();
  }

  /** Two bars of the second section alone: enough to be rendered. */
  static Song brief(Song song) {
    return song.withForm(new Form(List.of(song.form().sections().get(1).withBars(2))));
  }

  /** Leaves two bars of the open song, as an edit. */
  void shorten() {
    interact(() -> shell.open().apply(FormEdits.replace("Short", brief(song()).form())));
  }

  void go(westtide.review.finding.Stage stage) {
    interact(() -> shell.go(stage));
    settle();
  }

  /** Waits until what was asked for later is done and the drawing is laid out. */
  void settle() {
    for (int turn = 0; turn < 3; turn++) {
      interact(PointerAndKeys::layOut);
    }
  }

  /** Runs a command of the window by its id. */
  void run(String command) {
    interact(() -> shell.run(command));
    settle();
  }

  /** Takes a value from a list as a person does: opens it, types the words, presses Enter. */
  void choose(String query, Object value) {
    clickOn(query);
    settle();
    write(value.toString());
    push(KeyCode.ENTER);
    settle();
  }

  /** Opens what is measured and found, if it stands folded. */
  void openSoundings() {
    if (shown("#soundings-open")) {
      press("#soundings-open");
    }
  }

  void waitFor(Callable<Boolean> condition) {
    waitFor(20, condition);
  }

  void waitFor(int seconds, Callable<Boolean> condition) {
    try {
      WaitForAsyncUtils.waitFor(seconds, TimeUnit.SECONDS, () -> asked(condition));
    } catch (TimeoutException e) {
      throw new AssertionError("waited " + seconds + " s in vain", e);
    }
    settle();
  }

  /** Conditions look at the window where nothing changes it meanwhile. */
  private boolean asked(Callable<Boolean> condition) {
    boolean[] answer = new boolean[1];
    interact(
        () -> {
          try {
            answer[0] = condition.call();
          } catch (RuntimeException e) {
            throw e;
          } catch (Exception e) {
            throw new IllegalStateException(e);
          }
        });
    return answer[0];
  }

  boolean shown(String query) {
    return lookup(query).tryQuery().filter(Node::isVisible).isPresent();
  }

  /** Whether a control and all it stands in are visible. */
  boolean seen(String query) {
    return lookup(query).tryQuery().filter(WindowTest::seen).isPresent();
  }

  static boolean seen(Node node) {
    for (Node at = node; at != null; at = at.getParent()) {
      if (!at.isVisible()) {
        return false;
      }
    }
    return true;
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
      write(text);
    }
    push(KeyCode.ENTER);
    settle();
  }

  /** The middle of what is shown under this name, on the screen. */
  Point2D middle(String query) {
    settle();
    Node node = lookup(query).match(Node::isVisible).query();
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
      if (!inFront(id)) {
        clickOn(id);
        settle();
      }
    }
  }

  /** Whether it is the word of the page that is open already: pressed again it would fold it. */
  private boolean inFront(String id) {
    return id.contains("page-")
        && lookup(id).queryAll().stream()
            .anyMatch(node -> node instanceof ToggleButton word && word.isSelected());
  }

  static void assertHas(String text, String... words) {
    assertThat(text).contains(words);
  }
}
