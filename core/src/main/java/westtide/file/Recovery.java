package westtide.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import westtide.file.disk.HeldLock;
import westtide.file.disk.PrivateFolder;
import westtide.file.disk.ThisProcess;
import westtide.file.disk.UnusableFileException;
import westtide.file.disk.WholeFile;
import westtide.song.Song;

/**
 * Unsaved work kept beside the song files, so that a crash loses seconds. Each running application
 * keeps one file under a random name and holds a lock beside it; a file whose lock nobody holds was
 * left by a crash.
 */
public final class Recovery implements Closeable {
  private static final String ENDING = ".unsaved";
  private static final String LOCK = ".lock";

  /** A clock may be wrong by so much; what was kept later than that is no time. */
  private static final Duration LIKELY = Duration.ofDays(400);

  private static final int BYTES = 2 * SongLimits.BYTES;
  private static final ObjectMapper MAPPER = new ObjectMapper();

  private final Path folder;
  private final Clock clock;
  private final Path own;
  private Optional<HeldLock> lock = Optional.empty();

  private Recovery(Path folder, Clock clock) {
    this.folder = folder;
    this.clock = clock;
    this.own = folder.resolve(UUID.randomUUID() + ENDING);
  }

  /**
   * Work left by a crash.
   *
   * @param at the recovery file
   * @param song the song as it was
   * @param file the song file it belongs to; empty where it had none, and where what it names is
   *     not a song this person wrote, so that saving asks for a name
   * @param saved the song in that file, where it can be read
   * @param kept when it was kept
   * @param note why it opens as a copy though it names a file; empty where nothing is to be said
   */
  public record Left(
      Path at,
      Song song,
      Optional<Path> file,
      Optional<Song> saved,
      Instant kept,
      Optional<String> note) {
    /** Deletes it. */
    public void discard() throws IOException {
      Files.deleteIfExists(at);
      Files.deleteIfExists(lockOf(at));
    }
  }

  /**
   * What was found of other sessions.
   *
   * @param work what can be taken up, the latest first
   * @param unreadable files that cannot be read, which stay where they are
   */
  public record Found(List<Left> work, List<Path> unreadable) {
    /** Copies the lists. */
    public Found {
      work = List.copyOf(work);
      unreadable = List.copyOf(unreadable);
    }
  }

  /** The recovery of this process in a folder, which is made when something is kept. */
  public static Recovery in(Path folder, Clock clock) {
    return new Recovery(folder, clock);
  }

  /**
   * Keeps the present state; when this returns it is on the disk.
   *
   * @throws IOException when the folder cannot be written
   */
  public synchronized void keep(Song song, Optional<Path> file) throws IOException {
    PrivateFolder.make(folder);
    if (lock.isEmpty()) {
      lock = HeldLock.takePrivately(lockOf(own), ThisProcess.words(clock));
    }
    ObjectNode out = MAPPER.createObjectNode();
    out.put("file", file.map(path -> path.toAbsolutePath().toString()).orElse(""));
    out.put("kept", clock.instant().toString());
    out.set("song", SongFile.tree(song));
    SoundShelf.keep(song, SoundShelf.common(own));
    WholeFile.keep(own, MAPPER.writeValueAsBytes(out));
  }

  /**
   * Forgets what this process kept, after saving or on a clean end.
   *
   * @throws IOException when the file cannot be deleted
   */
  public synchronized void forget() throws IOException {
    Files.deleteIfExists(own);
  }

  /** Ends the keeping; what was kept and not forgotten is found by the next session. */
  @Override
  public synchronized void close() throws IOException {
    if (lock.isPresent()) {
      lock.get().close();
      lock = Optional.empty();
    }
  }

  /**
   * Work left by processes that no longer run. One file that cannot be read hides no other, and
   * work that is word for word in its song file is deleted.
   *
   * @throws IOException when the folder cannot be listed
   */
  public Found left() throws IOException {
    if (!Files.isDirectory(folder)) {
      return new Found(List.of(), List.of());
    }
    List<Left> work = new ArrayList<>();
    List<Path> unreadable = new ArrayList<>();
    try (Stream<Path> files = Files.list(folder)) {
      for (Path path : files.filter(this::mayBeLeft).sorted().toList()) {
        try {
          read(path).ifPresent(work::add);
        } catch (IOException | RuntimeException e) {
          unreadable.add(path);
        }
      }
    }
    work.sort(Comparator.comparing(Left::kept).reversed());
    return new Found(work, unreadable);
  }

  private boolean mayBeLeft(Path path) {
    return path.getFileName().toString().endsWith(ENDING)
        && !path.equals(own)
        && !HeldLock.isHeld(lockOf(path));
  }

  private Optional<Left> read(Path path) throws IOException {
    JsonNode tree = JsonDocument.read(path, BYTES);
    String named = tree.path("file").asText();
    Optional<Path> file = named.isEmpty() ? Optional.empty() : Optional.of(Path.of(named));
    SongFile.Opened opened = SongFile.opened(tree.path("song"));
    Song song =
        SoundShelf.filled(opened.song(), List.of(SoundShelf.common(path)), new ArrayList<>());
    Optional<String> note =
        opened.newer()
            ? Optional.of("written by a newer version, opens as a copy")
            : file.flatMap(target -> mistrusted(target, path));
    Optional<Path> target = note.isPresent() ? Optional.empty() : file;
    Optional<Song> saved = target.flatMap(Recovery::saved);
    Left left = new Left(path, song, target, saved, kept(tree, path), note);
    if (saved.filter(song::equals).isPresent()) {
      left.discard();
      return Optional.empty();
    }
    return Optional.of(left);
  }

  /**
   * Why a file that kept work names is not one to save over: only a song, by name and content, of
   * the person whose work it is.
   */
  private static Optional<String> mistrusted(Path target, Path kept) {
    if (!Files.exists(target)) {
      return Optional.of("its file is gone");
    }
    boolean song =
        target.toString().endsWith(SongFile.ENDING)
            && Files.isRegularFile(target)
            && saved(target).isPresent();
    return song && sameOwner(target, kept)
        ? Optional.empty()
        : Optional.of(
            target.getFileName() + " is not a song of yours, so the work opens as a copy");
  }

  private static boolean sameOwner(Path one, Path other) {
    try {
      return Files.getOwner(one).equals(Files.getOwner(other));
    } catch (IOException | UnsupportedOperationException e) {
      return false;
    }
  }

  /** When it was kept; a time that cannot be is that of the file. */
  private Instant kept(JsonNode tree, Path path) throws IOException {
    Instant written = Files.getLastModifiedTime(path).toInstant();
    try {
      Instant said = Instant.parse(tree.path("kept").asText());
      boolean likely = said.isAfter(Instant.EPOCH) && said.isBefore(clock.instant().plus(LIKELY));
      return likely ? said : written;
    } catch (DateTimeException e) {
      return written;
    }
  }

  private static Optional<Song> saved(Path file) {
    try {
      return Optional.of(SongFile.read(file));
    } catch (UnusableFileException e) {
      return Optional.empty();
    }
  }

  private static Path lockOf(Path file) {
    return file.resolveSibling(file.getFileName() + LOCK);
  }
}
