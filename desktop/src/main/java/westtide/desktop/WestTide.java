package westtide.desktop;

import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.image.Image;
import javafx.stage.Screen;
import javafx.stage.Stage;
import javafx.util.Duration;
import westtide.desktop.open.Look;
import westtide.desktop.open.WindowMemory;
import westtide.file.disk.Folders;

/** The application: one window around a {@link Shell}. */
public final class WestTide extends Application {
  private static final String NAME = "West Tide";
  private static final double WIDTH = 1280;
  private static final double HEIGHT = 800;

  private Shell shell;

  @Override
  public void start(Stage stage) {
    Folders folders = Folders.ofUser();
    Words words = Words.of(getParameters().getRaw());
    Look.load();
    shell = new Shell(Environment.of(folders));
    shell.revealBy(folder -> getHostServices().showDocument(folder.toUri().toString()));
    Thread.currentThread().setUncaughtExceptionHandler((thread, e) -> shell.unexpected(e));
    stage.getIcons().add(new Image(WestTide.class.getResourceAsStream("icon.png")));
    stage.setTitle(NAME);
    shell.open().watch(view -> stage.setTitle(titled(view.song().title())));
    WindowMemory last = shell.appearance().memory();
    boolean pictures = words.pictures().isPresent();
    stage.setScene(
        pictures ? shell.scene(WIDTH, HEIGHT) : shell.scene(last.width(), last.height()));
    stage.setMinWidth(WindowMemory.LEAST_WIDTH);
    stage.setMinHeight(WindowMemory.LEAST_HEIGHT);
    if (!pictures && onScreen(last)) {
      stage.setX(last.x());
      stage.setY(last.y());
    }
    stage.setOnCloseRequest(
        event -> {
          event.consume();
          shell.end(
              () -> {
                remember(stage);
                Platform.exit();
              });
        });
    stage
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                shell.inFront();
              }
            });
    stage.show();
    begin(words, stage);
    folders.notice().ifPresent(shell::notice);
    words
        .exitAfter()
        .ifPresent(
            seconds -> {
              PauseTransition wait = new PauseTransition(Duration.seconds(seconds));
              wait.setOnFinished(event -> Platform.exit());
              wait.play();
            });
  }

  /** The song in front, with a dot before it while it has changes that are not saved. */
  private String titled(String song) {
    return (shell.open().changed() ? "• " : "") + song + " · " + NAME;
  }

  /** A screen that is gone must not take the window with it. */
  private static boolean onScreen(WindowMemory last) {
    return !Screen.getScreensForRectangle(last.x(), last.y(), last.width(), last.height())
        .isEmpty();
  }

  private void remember(Stage stage) {
    Scene scene = stage.getScene();
    shell.remember(
        (int) stage.getX(), (int) stage.getY(), (int) scene.getWidth(), (int) scene.getHeight());
  }

  @Override
  public void stop() {
    shell.close();
  }

  private void begin(Words words, Stage stage) {
    if (words.pictures().isPresent()) {
      new Screenshots(shell, stage.getScene(), words.pictures().get()).take(Platform::exit);
    } else if (words.demo()) {
      shell.showDemos();
    } else if (words.file().isPresent()) {
      shell.openFile(words.file().get());
    } else {
      shell.showStart();
    }
  }

  /** Opens the window with the words the application was started with. */
  static void open(String... words) {
    launch(WestTide.class, words);
  }
}
