package westtide.desktop.files;

import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.util.Duration;
import westtide.desktop.open.Background;
import westtide.desktop.open.OpenSong;
import westtide.file.Recovery;
import westtide.song.Song;

/** Keeps unsaved work every two seconds while it changes, so that a crash loses less than five. */
public final class Autosave {
  private static final Duration EVERY = Duration.seconds(2);

  private final OpenSong open;
  private final Recovery recovery;
  private final Background background;
  private final Timeline clock = new Timeline(new KeyFrame(EVERY, event -> keep()));
  private Optional<Song> kept = Optional.empty();

  /** Keeps the unsaved work of the open song in the files of a recovery. */
  public Autosave(OpenSong open, Recovery recovery, Background background) {
    this.open = open;
    this.recovery = recovery;
    this.background = background;
    clock.setCycleCount(Animation.INDEFINITE);
  }

  /** Begins to keep it, every two seconds. */
  public void start() {
    clock.play();
  }

  /** Stops and forgets: the end was a clean one. */
  public void end() {
    clock.stop();
    background.quietly(
        () -> {
          recovery.forget();
          return null;
        });
  }

  /** Keeps the open song now if it changed since it was last kept. */
  public void keep() {
    if (!open.unsavedWork()) {
      return;
    }
    Song song = open.song();
    if (kept.isPresent() && kept.get() == song) {
      return;
    }
    kept = Optional.of(song);
    background.quietly(
        () -> {
          recovery.keep(song, open.file());
          return null;
        });
  }
}
