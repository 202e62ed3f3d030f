package westtide.desktop;

import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import westtide.desktop.open.Look;
import westtide.song.edit.BriefEdits;
import westtide.sound.SharedTables;

/**
 * A real window in a process of its own, which edits a song and saves it by its key without end,
 * and says each state that was saved.
 */
final class SavingWindow {
  private final Shell shell;
  private final Scene scene;
  private int asked;

  private SavingWindow(Path data, Path song) {
    shell =
        new Shell(
            new Environment(
                data,
                song.getParent(),
                () -> 0,
                Clock.systemDefaultZone(),
                Environment::silent,
                SharedTables.none(),
                (score, watch) -> Optional.empty()));
    scene = shell.scene(1280, 800);
    Stage stage = new Stage();
    stage.setScene(scene);
    stage.show();
    shell.openFile(song);
  }

  /** Wants the folder of a person's things and the song. */
  public static void main(String[] words) {
    Platform.startup(
        () -> {
          Look.load();
          SavingWindow window = new SavingWindow(Path.of(words[0]), Path.of(words[1]));
          new AnimationTimer() {
            @Override
            public void handle(long now) {
              window.next();
            }
          }.start();
        });
  }

  private void next() {
    if (!shell.open().isOpen() || asked > 0 && shell.open().changed()) {
      return;
    }
    if (asked > 0) {
      System.out.println("saved " + asked);
    }
    asked++;
    shell.open().apply(BriefEdits.title("Edit " + asked));
    Event.fireEvent(
        scene.getRoot(),
        new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.S, false, true, false, false));
  }
}
