package westtide.desktop.files;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import westtide.desktop.open.Background;
import westtide.desktop.open.Messages;
import westtide.desktop.open.OpenSong;
import westtide.desktop.open.Overlay;
import westtide.file.Bounce;
import westtide.file.FileNames;
import westtide.file.MidiFile;
import westtide.file.OutputFolder;
import westtide.file.Recovery;
import westtide.file.Slides;
import westtide.file.SongFile;
import westtide.file.WavFormat;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.song.Role;
import westtide.song.Song;
import westtide.sound.Mixdown.Watch;

/** Opening, saving and exporting the open song, and asking once about unsaved changes. */
public final class SongFiles {
  private final OpenSong open;
  private final Overlay overlay;
  private final Messages messages;
  private final Background background;
  private final RecentFiles recent;
  private final Recovery recovery;
  private final Path home;

  /** Opens and saves the open song; what goes wrong is said in the window. */
  public SongFiles(
      OpenSong open,
      Overlay overlay,
      Messages messages,
      Background background,
      RecentFiles recent,
      Recovery recovery,
      Path home) {
    this.open = open;
    this.overlay = overlay;
    this.messages = messages;
    this.background = background;
    this.recent = recent;
    this.recovery = recovery;
    this.home = home;
  }

  /** The files used last. */
  public List<Path> recent() {
    return recent.files();
  }

  /** Where new files go unless a song already has a place. */
  public Path folder() {
    return open.file().map(file -> file.toAbsolutePath().getParent()).orElse(home);
  }

  /** Opens a song that has no file. */
  public void begin(Song song) {
    settled(() -> open.begin(song));
  }

  /** Opens what a crash left. */
  public void recover(Recovery.Left left) {
    open.recover(left.song(), left.file());
    background.quietly(
        () -> {
          recovery.keep(left.song(), left.file());
          Files.deleteIfExists(left.at());
          return null;
        });
    messages.done("Recovered " + left.song().title() + "; save it to keep it.");
  }

  /** Deletes what a crash left. */
  public void letGo(Recovery.Left left) {
    left.at().toFile().delete();
  }

  /** Lets a person choose a song file and opens it. */
  public void chooseAndOpen() {
    settled(
        () ->
            new FilePanel(
                    overlay,
                    "Open a song",
                    "open",
                    folder(),
                    path -> path.toString().endsWith(SongFile.ENDING),
                    this::load)
                .open());
  }

  /** Opens a song file after asking about unsaved changes. */
  public void openFile(Path file) {
    settled(() -> load(file));
  }

  private void load(Path file) {
    background.run(
        () -> SongFile.open(file),
        read -> {
          open.open(read.song(), file);
          recent.add(file);
          overlay.close();
          if (!read.notices().isEmpty()) {
            messages.notice("Mended: " + String.join(" ", read.notices()));
          }
        });
  }

  /** Writes the song to its file, or asks where when it has none. */
  public void save() {
    save(() -> {});
  }

  private void save(Runnable then) {
    if (open.file().isPresent()) {
      write(open.file().get(), then);
    } else {
      saveAs(then);
    }
  }

  /** Asks where to write the song. */
  public void saveAs() {
    saveAs(() -> {});
  }

  private void saveAs(Runnable then) {
    Path suggested =
        open.file()
            .orElseGet(() -> folder().resolve(FileNames.stem(open.song()) + SongFile.ENDING));
    new FilePanel(
            overlay,
            "Save the song as",
            "save",
            suggested,
            path -> path.toString().endsWith(SongFile.ENDING),
            path -> write(withEnding(path), then))
        .open();
  }

  private static Path withEnding(Path path) {
    String name = path.getFileName().toString();
    return name.endsWith(SongFile.ENDING) ? path : path.resolveSibling(name + SongFile.ENDING);
  }

  private void write(Path file, Runnable then) {
    Song song = open.song();
    background.run(
        () -> {
          SongFile.write(song, file);
          recovery.forget();
          return file;
        },
        written -> {
          open.saved(song, written);
          recent.add(written);
          messages.done("Saved " + written.getFileName());
          then.run();
        });
  }

  /** Writes the whole song as a MIDI file into a folder. */
  public void exportMidi(Path folder) {
    export(
        folder,
        score -> {
          Path file = folder.resolve(FileNames.midi(score.song()));
          MidiFile.write(score, file);
          return "Wrote " + file;
        });
  }

  /** Writes one MIDI file for each part that plays into a folder. */
  public void exportParts(Path folder) {
    export(
        folder,
        score -> "Wrote " + MidiFile.writeParts(score, folder).size() + " files to " + folder);
  }

  /** Writes one MIDI file for each section into a folder. */
  public void exportSections(Path folder) {
    export(
        folder,
        score ->
            "Wrote "
                + MidiFile.writeSections(score, Slides.OVERLAP, folder).size()
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
    background.run(
        () -> {
          try {
            return bouncing
                .write(score)
                .map(SongFiles::description)
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

  /** Runs what replaces the open song, once its unsaved changes are settled. */
  public void settled(Runnable then) {
    if (!open.unsavedWork()) {
      then.run();
      return;
    }
    Question.ask(
        overlay,
        "Keep the changes?",
        "\"" + open.song().title() + "\" has changes that are in no file.",
        List.of(
            new Question.Answer("question-stay", "cancel", () -> {}),
            new Question.Answer("question-discard", "discard changes", then),
            new Question.Answer("question-save", "save", () -> save(then))));
  }
}
