package westtide.desktop;

import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.util.Duration;
import westtide.file.Recovery;
import westtide.song.Song;

/** Keeps unsaved work every two seconds while it changes, so that a crash loses less than five. */
final class Autosave {
  private static final Duration EVERY = Duration.seconds(2);

  private final OpenSong open;
  private final Recovery recovery;
  private final Background background;
  private final Timeline clock = new Timeline(new KeyFrame(EVERY, event -> keep()));
  private Optional<Song> kept = Optional.empty();

  Autosave(OpenSong open, Recovery recovery, Background background) {
    this.open = open;
    this.recovery = recovery;
    this.background = background;
    clock.setCycleCount(Animation.INDEFINITE);
  }

  void start() {
    clock.play();
  }

  /** Stops and forgets: the end was a clean one. */
  void end() {
    clock.stop();
    background.quietly(
        () -> {
          recovery.forget();
          return null;
        });
  }

  /** Keeps the open song now if it changed since it was last kept. */
  void keep() {
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
