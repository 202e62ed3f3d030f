package westtide.desktop;

import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;
import javafx.util.Duration;
import westtide.desktop.open.Look;

/** The application: one window around a {@link Shell}. */
public final class WestTide extends Application {
  private static final double WIDTH = 1280;
  private static final double HEIGHT = 800;

  private Shell shell;

  @Override
  public void start(Stage stage) {
    Words words = Words.of(getParameters().getRaw());
    Look.load();
    shell = new Shell(Surroundings.ofUser());
    Thread.currentThread().setUncaughtExceptionHandler((thread, e) -> shell.unexpected(e));
    stage.setTitle("West Tide");
    stage.setScene(shell.scene(WIDTH, HEIGHT));
    stage.setMinWidth(1000);
    stage.setMinHeight(700);
    stage.setOnCloseRequest(
        event -> {
          event.consume();
          shell.end(Platform::exit);
        });
    stage.show();
    begin(words, stage);
    words
        .exitAfter()
        .ifPresent(
            seconds -> {
              PauseTransition wait = new PauseTransition(Duration.seconds(seconds));
              wait.setOnFinished(event -> Platform.exit());
              wait.play();
            });
  }

  @Override
  public void stop() {
    shell.close();
  }

  private void begin(Words words, Stage stage) {
    if (words.pictures().isPresent()) {
      new Screenshots(shell, stage.getScene(), words.pictures().get()).take(Platform::exit);
    } else if (words.demo()) {
      shell.begin(shell.demos().get(0));
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
