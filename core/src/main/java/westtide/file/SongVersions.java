package westtide.file;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import westtide.file.disk.PrivateFolder;
import westtide.file.disk.UnusableFileException;
import westtide.song.Song;

/**
 * The last ten saved versions of every song, as song files in a folder for each song.
 *
 * @param folder where the folders are
 * @param clock tells when a version was saved
 */
public record SongVersions(Path folder, Clock clock) {
  /** Where versions are kept, below the folder of a person's things. */
  public static final String FOLDER = "versions";

  /** How many versions of a song are kept. */
  public static final int MOST = 10;

  /**
   * A version.
   *
   * @param file where it is
   * @param saved when it was saved
   */
  public record Version(Path file, Instant saved) {
    /**
     * The song as it was saved.
     *
     * @throws UnusableFileException when the file is missing or damaged
     */
    public Song song() throws UnusableFileException {
      return SongFile.read(file);
    }
  }

  /**
   * Keeps a version of a song that was saved to a file; the oldest beyond ten go.
   *
   * @throws IOException when the folder cannot be written
   */
  public void keep(Song song, Path file) throws IOException {
    Path place = of(file);
    PrivateFolder.make(place);
    long newest =
        all(file).stream().mapToLong(version -> version.saved().toEpochMilli()).max().orElse(0);
    SongFile.keep(song, named(place, Math.max(clock.millis(), newest + 1)));
    List<Version> all = all(file);
    for (Version old : all.subList(Math.min(MOST, all.size()), all.size())) {
      Files.deleteIfExists(old.file());
    }
  }

  /**
   * Keeps what is in a file now, before it is replaced, unless that is a version already or is no
   * song. Whoever wrote it, it can be had again.
   *
   * @throws IOException when the folder cannot be written
   */
  public void keepReplaced(Path file) throws IOException {
    if (!Files.isRegularFile(file)) {
      return;
    }
    for (Version version : all(file)) {
      if (Files.mismatch(version.file(), file) < 0) {
        return;
      }
    }
    Song there;
    try {
      there = SongFile.read(file);
    } catch (UnusableFileException e) {
      return;
    }
    keep(there, file);
  }

  /**
   * The versions of the song in a file, the latest first.
   *
   * @throws IOException when the folder cannot be listed
   */
  public List<Version> all(Path file) throws IOException {
    Path place = of(file);
    if (!Files.isDirectory(place)) {
      return List.of();
    }
    List<Version> out = new ArrayList<>();
    try (Stream<Path> files = Files.list(place)) {
      files
          .filter(path -> path.getFileName().toString().matches("\\d{1,14}\\" + SongFile.ENDING))
          .forEach(path -> out.add(new Version(path, time(path))));
    }
    out.sort(Comparator.comparing(Version::saved).reversed());
    return out;
  }

  private static Path named(Path place, long time) {
    return place.resolve(time + SongFile.ENDING);
  }

  private static Instant time(Path version) {
    String name = version.getFileName().toString();
    return Instant.ofEpochMilli(
        Long.parseLong(name.substring(0, name.length() - SongFile.ENDING.length())));
  }

  /** A folder for each song file, by all of its path. */
  private Path of(Path file) {
    byte[] path = file.toAbsolutePath().normalize().toString().getBytes(StandardCharsets.UTF_8);
    return folder.resolve(UUID.nameUUIDFromBytes(path).toString());
  }
}
