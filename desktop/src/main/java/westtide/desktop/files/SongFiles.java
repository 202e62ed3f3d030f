package westtide.desktop.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import westtide.desktop.open.Background;
import westtide.desktop.open.Messages;
import westtide.desktop.open.OpenSong;
import westtide.desktop.open.Overlay;
import westtide.file.FileNames;
import westtide.file.Recovery;
import westtide.file.SongFile;
import westtide.file.SongVersions;
import westtide.song.Song;

/** Opening and saving the open song, and asking once about unsaved changes. */
public final class SongFiles {
  private static final Logger LOG = LoggerFactory.getLogger(SongFiles.class);

  private static final String OPENING = "Opening ";

  /** Bytes from which on reading takes long enough to be told. */
  private static final long LARGE = 1 << 20;

  private final OpenSong open;
  private BiConsumer<String, Song> comparing = (name, song) -> {};
  private final Overlay overlay;
  private final Messages messages;
  private final Background background;
  private final Kept kept;
  private final FileGuard guard;

  /**
   * Where things are kept.
   *
   * @param recent the files used last
   * @param recovery unsaved work
   * @param versions saved versions
   * @param home where new files go
   */
  public record Kept(RecentFiles recent, Recovery recovery, SongVersions versions, Path home) {}

  /** Opens and saves the open song; what goes wrong is said in the window. */
  public SongFiles(
      OpenSong open, Overlay overlay, Messages messages, Background background, Kept kept) {
    this.open = open;
    this.overlay = overlay;
    this.messages = messages;
    this.background = background;
    this.kept = kept;
    this.guard = new FileGuard(kept.versions().clock());
    open.watchOpening(() -> guard.keepOnly(open.file()));
  }

  /** Gives back what other windows wait for; the last thing before the end. */
  public void close() {
    guard.release();
  }

  /** The files used last. */
  public List<Path> recent() {
    return kept.recent().files();
  }

  /** Where new files go unless a song already has a place. */
  public Path folder() {
    return open.file().map(file -> file.toAbsolutePath().getParent()).orElse(kept.home());
  }

  /** The folder the open song is delivered into: the one chosen for it, else where it lies. */
  public Path deliverFolder() {
    return open.file().flatMap(delivered()::of).orElseGet(this::folder);
  }

  /** Keeps the folder the open song is delivered into; empty is where it lies. */
  public void deliverInto(Optional<Path> chosen) {
    open.file().ifPresent(file -> delivered().keep(file, chosen));
  }

  private DeliverFolders delivered() {
    return new DeliverFolders(kept.recent().list().resolveSibling("deliver-folders.txt"));
  }

  /** Opens a song that has no file. */
  public void begin(Song song) {
    settled(() -> open.begin(song));
  }

  /** Opens what a crash left; its file goes once the work is kept anew. */
  public void recover(Recovery.Left left) {
    open.recover(left.song(), left.file());
    left.file().ifPresent(this::guard);
    background.quietly(
        () -> {
          kept.recovery().keep(left.song(), left.file());
          left.discard();
          return null;
        });
    messages.done("Recovered " + left.song().title() + "; save it to keep it.");
  }

  /** A file that is locked or was changed meanwhile is not saved over without asking. */
  private void guard(Path file) {
    background.quietly(
        () -> {
          guard.hold(guard.ask(file));
          return null;
        });
  }

  /** Deletes what a crash left. */
  public void letGo(Recovery.Left left) {
    try {
      left.discard();
    } catch (IOException e) {
      LOG.warn("Kept work could not be deleted", e);
      messages.failed("That work could not be deleted: " + e.getMessage());
    }
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
    openFile(file, () -> {});
  }

  /** Opens a song file after asking about unsaved changes; {@code then} runs when it is open. */
  public void openFile(Path file, Runnable then) {
    settled(() -> load(file, then));
  }

  private record Loaded(SongFile.Opened read, FileGuard.Grip grip) {}

  private void load(Path file) {
    load(file, () -> {});
  }

  private void load(Path file, Runnable then) {
    if (file.toFile().length() > LARGE) {
      messages.notice(OPENING + file.getFileName() + " …");
    }
    background.run(
        () -> {
          SongFile.Opened read = SongFile.open(file);
          return new Loaded(read, guard.ask(file));
        },
        loaded -> {
          messages.withdraw(OPENING);
          Optional<String> owner = loaded.grip().owner();
          if (owner.isPresent()) {
            askForCopy(file, loaded.read(), owner.get(), then);
          } else {
            open(file, loaded, then);
          }
        });
  }

  private void open(Path file, Loaded loaded, Runnable then) {
    SongFile.Opened read = loaded.read();
    try {
      if (read.newer()) {
        open.begin(read.song());
      } else {
        open.open(read.song(), file);
      }
    } catch (RuntimeException e) {
      guard.drop(loaded.grip());
      throw e;
    }
    if (read.newer()) {
      guard.drop(loaded.grip());
      messages.notice(
          file.getFileName()
              + " was written by a newer version. It opened as a copy; saving asks for a name, so"
              + " that nothing this version does not know is lost.");
    } else {
      guard.hold(loaded.grip());
      kept.recent().add(file);
      if (loaded.grip().unlocked()) {
        messages.notice(
            file.getFileName()
                + " cannot be locked where it lies: nobody who opens it too is told. Saving looks"
                + " whether it was changed meanwhile.");
      }
    }
    overlay.close();
    if (!read.notices().isEmpty()) {
      messages.notice("Mended: " + String.join(" ", read.notices()));
    }
    then.run();
  }

  private void askForCopy(Path file, SongFile.Opened read, String owner, Runnable then) {
    Question.ask(
        overlay,
        "It is open elsewhere",
        file.getFileName()
            + " is open in "
            + owner
            + ". A copy can be changed and saved under"
            + " another name.",
        List.of(
            new Question.Answer("question-stay", "cancel", () -> {}),
            new Question.Answer(
                "question-copy",
                "open a copy",
                () -> {
                  open.begin(read.song());
                  overlay.close();
                  messages.done("A copy of " + file.getFileName() + "; saving asks for a name.");
                  then.run();
                })));
  }

  /** Writes the song to its file, or asks where when it has none. */
  public void save() {
    save(() -> {});
  }

  private void save(Runnable then) {
    if (open.file().isPresent()) {
      writeUnlessChanged(open.file().get(), then);
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
            path -> replaceOrWrite(withEnding(path), then))
        .open();
  }

  private static Path withEnding(Path path) {
    String name = path.getFileName().toString();
    return name.endsWith(SongFile.ENDING) ? path : path.resolveSibling(name + SongFile.ENDING);
  }

  private void replaceOrWrite(Path file, Runnable then) {
    if (!Files.exists(file) || open.file().filter(file::equals).isPresent()) {
      write(file, then);
      return;
    }
    Question.ask(
        overlay,
        "Replace the file?",
        file.getFileName() + " is there already. What it holds stays among its versions.",
        List.of(
            new Question.Answer("question-replace", "replace it", () -> write(file, then)),
            new Question.Answer("question-stay", "cancel", () -> {})));
  }

  /**
   * Writes the song as it is now. Looking and writing are one piece of work beside the window, so
   * that a save asked for is a save done however busy the window is.
   */
  private void writeUnlessChanged(Path file, Runnable then) {
    Song song = open.song();
    background.run(
        () -> guard.changed() ? Optional.<Written>empty() : Optional.of(written(song, file)),
        written ->
            written.ifPresentOrElse(done -> saved(song, done, then), () -> askWhose(file, then)));
  }

  /** Looks whether somebody else wrote the open file, such as when the window comes in front. */
  public void lookAgain() {
    if (open.file().isEmpty() || overlay.isOpen()) {
      return;
    }
    Path file = open.file().get();
    background.run(
        guard::changedAgain,
        changed -> {
          boolean same = open.file().filter(file::equals).isPresent();
          if (changed && !overlay.isOpen() && same) {
            askWhose(file, () -> {});
          }
        });
  }

  /**
   * Asks whose version is to stay. Leaving the question decides nothing: the next save asks again,
   * and so does a further change on disk.
   */
  private void askWhose(Path file, Runnable then) {
    boolean there = Files.exists(file);
    String what =
        there
            ? " was changed by another program since it was opened or saved here. What is replaced"
                + " stays among the versions."
            : " was moved or deleted since it was opened or saved here.";
    List<Question.Answer> answers = new ArrayList<>();
    answers.add(new Question.Answer("question-stay", "cancel", () -> {}));
    if (there) {
      answers.add(new Question.Answer("question-theirs", "take theirs", () -> load(file)));
    }
    answers.add(new Question.Answer("question-mine", "keep mine", () -> write(file, then)));
    answers.add(new Question.Answer("question-save-as", "save mine as …", () -> saveAs(then)));
    Question.ask(overlay, "Whose version?", file.getFileName() + what, answers);
  }

  private record Written(Path file, FileGuard.Grip grip, Optional<String> notice) {}

  private void write(Path file, Runnable then) {
    Song song = open.song();
    background.run(() -> written(song, file), written -> saved(song, written, then));
  }

  private Written written(Song song, Path file) throws IOException {
    FileGuard.Grip grip = guard.ask(file);
    if (grip.owner().isPresent()) {
      throw new IOException(
          file.getFileName() + " is open in " + grip.owner().get() + "; save under another name.");
    }
    try {
      kept.versions().keepReplaced(file);
      SongFile.write(song, file);
    } catch (IOException e) {
      guard.drop(grip);
      throw e;
    }
    Written written = new Written(file, grip.asWritten(), keepVersion(song, file));
    guard.hold(written.grip());
    return written;
  }

  private void saved(Song song, Written written, Runnable then) {
    open.saved(song, written.file());
    kept.recent().add(written.file());
    messages.done("Saved " + written.file().getFileName());
    written.notice().ifPresent(messages::notice);
    then.run();
  }

  private Optional<String> keepVersion(Song song, Path file) {
    try {
      kept.versions().keep(song, file);
      return Optional.empty();
    } catch (IOException e) {
      LOG.warn("The version was not kept", e);
      return Optional.of("The song is saved; its version was not kept: " + e.getMessage());
    }
  }

  /** Opens the saved versions of the song. */
  public void versions() {
    if (open.file().isEmpty()) {
      messages.done("Save the song first; each save adds a version.");
      return;
    }
    Path file = open.file().get();
    Song present = open.song();
    background.run(
        () -> SavedVersion.of(kept.versions().all(file), present),
        versions -> new VersionsPanel(overlay, versions, this::openVersion, this::compare).open());
  }

  /** Has saved versions compared by ear, by what they are called and what they are. */
  public void comparing(BiConsumer<String, Song> by) {
    comparing = by;
  }

  private void compare(SavedVersion version) {
    overlay.close();
    comparing.accept("the version of " + version.time(), version.song());
  }

  private void openVersion(SavedVersion version) {
    settled(
        () -> {
          Optional<Path> file = open.file();
          open.recover(version.song(), file);
          file.ifPresent(this::guard);
          overlay.close();
          messages.done("The version of " + version.time() + "; save it to make it the file.");
        });
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
