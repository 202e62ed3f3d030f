package westtide.desktop.open;

import java.io.IOException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import javafx.application.Platform;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import westtide.file.disk.UnusableFileException;

/**
 * Work beside the window: files one piece after another, and what takes long, such as rendering,
 * with nothing waiting behind it. What fails is told in a sentence and logged.
 */
public final class Background {
  private static final Logger LOG = LoggerFactory.getLogger(Background.class);

  /** Work that may fail with a sentence. */
  public interface Work<T> {
    T run() throws IOException;
  }

  private final ExecutorService worker = thread("beside the window");
  private final ExecutorService longWorker = thread("rendering beside the window");
  private final Messages messages;

  /** A thread beside the window that says what failed in the messages. */
  public Background(Messages messages) {
    this.messages = messages;
  }

  private static ExecutorService thread(String name) {
    return Executors.newSingleThreadExecutor(
        run -> {
          Thread thread = new Thread(run, name);
          thread.setDaemon(true);
          return thread;
        });
  }

  /** Runs work beside the window and hands its result back to it. */
  public <T> void run(Work<T> work, Consumer<T> then) {
    worker.execute(() -> attempt(work, then));
  }

  /** Runs work that may take long; files are opened and saved meanwhile. */
  public <T> void runLong(Work<T> work, Consumer<T> then) {
    longWorker.execute(() -> attempt(work, then));
  }

  private <T> void attempt(Work<T> work, Consumer<T> then) {
    try {
      T result = work.run();
      Platform.runLater(() -> then.accept(result));
    } catch (UnusableFileException | IllegalArgumentException e) {
      LOG.info("A file was of no use, or a wish cannot be met, which is told", e);
      Platform.runLater(() -> messages.failed(e.getMessage()));
    } catch (IOException e) {
      LOG.warn("Work beside the window failed", e);
      Platform.runLater(() -> messages.failed(e.getMessage()));
    } catch (OutOfMemoryError e) {
      LOG.error("Work beside the window had not enough memory", e);
      Platform.runLater(
          () -> messages.failed("There is not enough memory for that; nothing was lost."));
    } catch (RuntimeException | Error e) {
      LOG.error("Work beside the window failed unexpectedly", e);
      Platform.runLater(messages::unexpected);
    }
  }

  /** Runs work whose failure only the log is told of. */
  public void quietly(Work<Void> work) {
    if (worker.isShutdown()) {
      return;
    }
    worker.execute(
        () -> {
          try {
            work.run();
          } catch (IOException | RuntimeException | Error e) {
            LOG.warn("Work beside the window failed, which only the log is told", e);
          }
        });
  }

  /** Finishes what is under way; called once, when the application ends. */
  public void finish() {
    longWorker.shutdownNow();
    worker.shutdown();
    try {
      if (!worker.awaitTermination(3, TimeUnit.SECONDS)) {
        LOG.warn("Work with files did not finish before the end");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
