package westtide.desktop.play;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.util.Duration;
import westtide.desktop.open.OpenSong;
import westtide.desktop.open.SongView;
import westtide.review.finding.Stage;
import westtide.score.Score;
import westtide.sound.Listening;
import westtide.sound.Mixdown;

/**
 * Renders the song beside the window and measures it, a moment after the last edit, while a stage
 * that shows the result is in front. A newer edit ends the older rendering.
 */
public final class LoudnessWatcher {
  private static final Set<Stage> LISTENING = EnumSet.of(Stage.LOW_END, Stage.FORM, Stage.LEVELS);

  /** Renders a score and measures it; nothing when it was cancelled. */
  public interface Hearing {
    /** What was measured. */
    Optional<Listening> of(Score score, Mixdown.Watch watch);
  }

  private final OpenSong open;
  private final Hearing hearing;
  private final PauseTransition calm = new PauseTransition(Duration.millis(700));
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(
          run -> {
            Thread thread = new Thread(run, "listening");
            thread.setDaemon(true);
            thread.setPriority(Thread.MIN_PRIORITY);
            return thread;
          });
  private AtomicBoolean outdated = new AtomicBoolean();
  private SongView asked;

  /** Watches the open song. */
  public LoudnessWatcher(OpenSong open, Hearing hearing) {
    this.open = open;
    this.hearing = hearing;
    calm.setOnFinished(event -> listen());
  }

  /** Whether what is said at a stage waits for what the song sounds like. */
  public static boolean waits(SongView view, Stage front) {
    return LISTENING.contains(front) && view.heard().isEmpty();
  }

  /** Shows a state of the song and the stage in front. */
  public void show(SongView view, Stage front) {
    boolean known = view.heard().isPresent() || (asked != null && asked.song() == view.song());
    if (!LISTENING.contains(front) || known) {
      return;
    }
    outdated.set(true);
    asked = view;
    calm.playFromStart();
  }

  private void listen() {
    if (worker.isShutdown()) {
      return;
    }
    SongView view = asked;
    AtomicBoolean cancelled = new AtomicBoolean();
    outdated = cancelled;
    worker.execute(
        () -> {
          Optional<Listening> heard =
              hearing.of(view.score(), new Mixdown.Watch(cancelled::get, share -> {}));
          heard.ifPresent(listening -> Platform.runLater(() -> open.heard(view.song(), listening)));
        });
  }

  /** Ends what it measures. */
  public void close() {
    calm.stop();
    outdated.set(true);
    worker.shutdownNow();
  }
}
