package westtide.desktop.files;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.application.Platform;
import westtide.desktop.open.Background;
import westtide.desktop.open.Messages;
import westtide.file.audio.Bounce;
import westtide.file.deliver.Delivery;
import westtide.sound.Mixdown.Watch;

/** Writing the open song for other programs. */
public final class SongExports {
  private final Messages messages;
  private final Background background;
  private final Consumer<Path> reveal;

  /**
   * Writes songs; what goes wrong is said in the window.
   *
   * @param reveal shows a folder in the system's own window
   */
  public SongExports(Messages messages, Background background, Consumer<Path> reveal) {
    this.messages = messages;
    this.background = background;
    this.reveal = reveal;
  }

  /** What a window is told of a delivery. */
  public interface Ended {
    /** Files that were written; none when it failed or was cancelled. */
    void with(List<Path> written);
  }

  /** Writes a delivery; {@code ended} runs in the window whatever came of it. */
  public void deliver(Delivery delivery, Watch watch, Ended ended) {
    background.runLong(
        () -> {
          List<Path> written = List.of();
          try {
            List<Bounce.Written> all = delivery.write(watch).orElse(List.of());
            written = all.stream().map(Bounce.Written::path).toList();
            return written.isEmpty() ? "Cancelled; nothing was written." : told(all);
          } finally {
            List<Path> here = written;
            Platform.runLater(() -> ended.with(here));
          }
        },
        messages::done);
  }

  /** Shows a folder in the system's own window. */
  public void reveal(Path folder) {
    reveal.accept(folder);
  }

  private static String told(List<Bounce.Written> files) {
    Path first = files.get(0).path();
    String what =
        files.size() == 1
            ? "Wrote " + first
            : "Wrote " + files.size() + " files to " + first.getParent();
    double over = files.stream().mapToDouble(Bounce.Written::over).max().orElse(0);
    return over == 0
        ? what
        : what
            + String.format(
                Locale.ROOT,
                ". The loudest goes %.1f dB over full scale and is cut there; turn it down.",
                over);
  }
}
