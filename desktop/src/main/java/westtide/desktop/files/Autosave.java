package westtide.desktop.files;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import westtide.desktop.open.OpenSong;
import westtide.file.Recovery;
import westtide.song.Song;

/**
 * Keeps unsaved work every second while it changes, on a thread of its own with nothing queued
 * before it, so that a crash loses less than five. A failure is told once and tried again.
 */
public final class Autosave {
  private static final Logger LOG = LoggerFactory.getLogger(Autosave.class);
  private static final long EVERY_MS = 1000;
  private static final long PATIENCE_S = 3;

  private final OpenSong open;
  private final Recovery recovery;

  /** How the message begins that says so; it goes when the work is kept again. */
  public static final String CANNOT = "Unsaved work cannot be kept just now";

  private final Consumer<String> told;
  private final Runnable better;
  private final ScheduledExecutorService keeper =
      Executors.newSingleThreadScheduledExecutor(
          run -> {
            Thread thread = new Thread(run, "keeping unsaved work");
            thread.setDaemon(true);
            thread.setPriority(Thread.MAX_PRIORITY);
            return thread;
          });
  private volatile Optional<Work> present = Optional.empty();
  private Optional<Work> kept = Optional.empty();
  private boolean failing;

  /** A state of the open song. */
  private record Work(Song song, Optional<Path> file, boolean unsaved) {
    boolean same(Work other) {
      return song == other.song && unsaved == other.unsaved && file.equals(other.file);
    }
  }

  /**
   * Keeps the unsaved work of the open song; {@code told} hears once of what goes wrong, {@code
   * better} when it goes well again.
   */
  public Autosave(OpenSong open, Recovery recovery, Consumer<String> told, Runnable better) {
    this.open = open;
    this.recovery = recovery;
    this.told = told;
    this.better = better;
    open.watch(view -> present = Optional.of(work()));
  }

  private Work work() {
    return new Work(open.song(), open.file(), open.unsavedWork());
  }

  /** Begins to keep it, every second. */
  public void start() {
    keeper.scheduleWithFixedDelay(this::keep, EVERY_MS, EVERY_MS, TimeUnit.MILLISECONDS);
  }

  /** Stops, then forgets: the end was a clean one, and nothing is kept after it. */
  public void end() {
    if (keeper.isShutdown()) {
      return;
    }
    keeper.execute(this::forget);
    keeper.shutdown();
    try {
      if (!keeper.awaitTermination(PATIENCE_S, TimeUnit.SECONDS)) {
        LOG.warn("Kept work was not forgotten in time");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void forget() {
    try {
      recovery.forget();
      recovery.close();
    } catch (IOException e) {
      LOG.warn("Kept work could not be forgotten", e);
    }
  }

  private void keep() {
    Optional<Work> now = present;
    if (now.isEmpty() || kept.isPresent() && kept.get().same(now.get())) {
      return;
    }
    try {
      if (now.get().unsaved()) {
        recovery.keep(now.get().song(), now.get().file());
      } else {
        recovery.forget();
      }
      kept = now;
      if (failing) {
        failing = false;
        better.run();
      }
    } catch (IOException | RuntimeException | Error e) {
      failed(e);
    }
  }

  private void failed(Throwable e) {
    LOG.warn("Unsaved work could not be kept", e);
    if (!failing) {
      failing = true;
      told.accept(
          CANNOT
              + ": "
              + e.getMessage()
              + " It is tried again every second; save the song to be sure.");
    }
  }
}
