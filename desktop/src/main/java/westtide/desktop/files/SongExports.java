package westtide.desktop.files;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import westtide.desktop.open.Background;
import westtide.desktop.open.Messages;
import westtide.desktop.open.OpenSong;
import westtide.file.FileNames;
import westtide.file.audio.Bounce;
import westtide.file.audio.WavFormat;
import westtide.file.disk.OutputFolder;
import westtide.file.midi.MidiFile;
import westtide.file.midi.MidiOptions;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Role;
import westtide.sound.Mixdown.Watch;

/** Writing the open song as MIDI and sound for other programs. */
public final class SongExports {
  private final OpenSong open;
  private final Messages messages;
  private final Background background;

  /** Writes the open song; what goes wrong is said in the window. */
  public SongExports(OpenSong open, Messages messages, Background background) {
    this.open = open;
    this.messages = messages;
    this.background = background;
  }

  /** Writes the whole song as a MIDI file into a folder, as these options say. */
  public void exportMidi(Path folder, MidiOptions options) {
    export(
        folder,
        score -> {
          Path file = folder.resolve(FileNames.midi(score.song()));
          MidiFile.write(score, options, file);
          return "Wrote " + file;
        });
  }

  /** Writes one MIDI file for each part that plays into a folder. */
  public void exportParts(Path folder) {
    export(
        folder,
        score -> "Wrote " + MidiFile.writeParts(score, folder).size() + " files to " + folder);
  }

  /** Writes one MIDI file for each section into a folder, as these options say. */
  public void exportSections(Path folder, MidiOptions options) {
    export(
        folder,
        score ->
            "Wrote "
                + MidiFile.writeSections(score, options, folder).size()
                + " files to "
                + folder);
  }

  /** Writes one MIDI file for each lane of every drum part into a folder. */
  public void exportLanes(Path folder) {
    export(
        folder,
        score -> {
          int files = 0;
          for (ScoredPart drums : score.parts(Role.DRUMS)) {
            files += MidiFile.writeLanes(score, drums.part().id(), folder).size();
          }
          return "Wrote " + files + " files to " + folder;
        });
  }

  /** Writes the mix as WAV into a folder; {@code ended} runs in the window whatever came of it. */
  public void bounceMix(Path folder, WavFormat format, Watch watch, Runnable ended) {
    bounce(
        ended,
        score -> {
          OutputFolder.make(folder);
          Path file = folder.resolve(FileNames.wav(score.song()));
          return Bounce.of(score, format).mix(file, watch).map(List::of);
        });
  }

  /** Writes stems as WAV into a folder; {@code ended} runs in the window whatever came of it. */
  public void bounceStems(Path folder, WavFormat format, Watch watch, Runnable ended) {
    bounce(
        ended,
        score -> {
          OutputFolder.make(folder);
          return Bounce.of(score, format).stems(folder, watch);
        });
  }

  private interface Bouncing {
    Optional<List<Bounce.Written>> write(Score score) throws java.io.IOException;
  }

  private void bounce(Runnable ended, Bouncing bouncing) {
    Score score = open.view().orElseThrow().score();
    background.runLong(
        () -> {
          try {
            return bouncing
                .write(score)
                .map(SongExports::description)
                .orElse("Cancelled; nothing was written.");
          } finally {
            javafx.application.Platform.runLater(ended);
          }
        },
        messages::done);
  }

  private static String description(List<Bounce.Written> files) {
    Path first = files.get(0).path();
    String what =
        files.size() == 1
            ? "Wrote " + first
            : "Wrote " + files.size() + " stems to " + first.getParent();
    double over = files.stream().mapToDouble(Bounce.Written::over).max().orElse(0);
    return over == 0
        ? what
        : what
            + String.format(
                java.util.Locale.ROOT,
                ". The loudest goes %.1f dB over full scale and is cut there; turn it down.",
                over);
  }

  private interface Export {
    String write(Score score) throws java.io.IOException;
  }

  private void export(Path folder, Export export) {
    Score score = open.view().orElseThrow().score();
    background.run(
        () -> {
          OutputFolder.make(folder);
          return export.write(score);
        },
        messages::done);
  }
}
