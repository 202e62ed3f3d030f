package westtide.desktop.deliver;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import westtide.desktop.files.SongExports;
import westtide.desktop.kit.Chips;
import westtide.desktop.kit.Controls;
import westtide.file.audio.WavFormat;
import westtide.sound.Mixdown;

/** The song as WAV: how it is written, how far it is, and the way to end it. */
final class SoundBox extends VBox {
  private final SongExports exports;
  private final Consumer<Consumer<Path>> into;
  private final Chips<Integer> bits;
  private final Chips<Integer> rates;
  private final Label name = Controls.label("", "strong");
  private final ProgressBar progress = new ProgressBar(0);
  private final Button cancel;
  private final HBox running;
  private WavFormat format = WavFormat.USUAL;
  private AtomicBoolean cancelled = new AtomicBoolean();

  /** A box that writes into the folder that {@code into} hands over. */
  SoundBox(SongExports exports, Consumer<Consumer<Path>> into) {
    this.exports = exports;
    this.into = into;
    this.bits =
        new Chips<>("bits-", b -> b + " bit", b -> format = new WavFormat(format.rate(), b));
    this.rates =
        new Chips<>(
            "rate-",
            r -> r == 44_100 ? "44.1 kHz" : "48 kHz",
            r -> format = new WavFormat(r, format.bits()));
    this.cancel = Controls.action("bounce-cancel", "cancel", () -> cancelled.set(true));
    this.running = Controls.row(8, progress, cancel);
    running.setVisible(false);
    progress.setId("bounce-progress");
    progress.setPrefWidth(150);
    name.setId("deliver-wav-name");
    bits.show(List.of(16, 24), format.bits());
    rates.show(List.of(44_100, 48_000), format.rate());
    setSpacing(6);
    getStyleClass().add("finding");
    setPadding(new javafx.geometry.Insets(12, 16, 12, 16));
    getChildren()
        .addAll(
            Controls.row(
                10,
                Controls.label("Sound", "stop-name"),
                Controls.spring(),
                running,
                Controls.action("write-mix", "write the mix", this::mix),
                Controls.action("write-stems", "write the stems", this::stems)),
            name,
            Controls.row(14, bits, rates),
            Controls.wrapped(
                "The mix passes its gain, its glue and a limiter at −1 dB true peak; stems do not, and add up to what enters them.",
                "small"));
  }

  void show(String wav) {
    name.setText(wav);
  }

  WavFormat format() {
    return format;
  }

  void mix() {
    into.accept(folder -> exports.bounceMix(folder, format, watch(), this::done));
  }

  void stems() {
    into.accept(folder -> exports.bounceStems(folder, format, watch(), this::done));
  }

  private Mixdown.Watch watch() {
    AtomicBoolean mine = new AtomicBoolean();
    cancelled.set(true);
    cancelled = mine;
    progress.setProgress(0);
    running.setVisible(true);
    return new Mixdown.Watch(
        mine::get, share -> Platform.runLater(() -> progress.setProgress(share)));
  }

  private void done() {
    running.setVisible(false);
  }
}
