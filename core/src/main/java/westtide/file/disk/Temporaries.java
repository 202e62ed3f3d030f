package westtide.file.disk;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;

/** Temporary files beside the files they will become, and those that a crash left. */
final class Temporaries {
  private static final String START = ".west-tide-";
  private static final String ENDING = ".part";
  private static final Duration LONGEST_WRITING = Duration.ofMinutes(10);

  /** Tells the files of this process from those of others, which may have the same number. */
  private static final String PROCESS = UUID.randomUUID().toString().substring(0, 8);

  private Temporaries() {}

  /** The temporary file of a target: the same one each time, and no other process's. */
  static Path of(Path target) {
    String name = Integer.toHexString(target.getFileName().toString().hashCode());
    long thread = Thread.currentThread().getId();
    return target.resolveSibling(START + PROCESS + "-" + name + "-" + thread + ENDING);
  }

  /**
   * Deletes what nobody writes any more: whoever writes holds a lock, or has only just begun. Where
   * a file system has no locks, age alone tells.
   */
  static void clean(Path folder) {
    try (DirectoryStream<Path> left = Files.newDirectoryStream(folder, START + "*" + ENDING)) {
      for (Path file : left) {
        boolean own = file.getFileName().toString().startsWith(START + PROCESS);
        if (!own && old(file)) {
          LeftLocks.deleteUnheld(file);
        }
      }
    } catch (IOException e) {
      // What cannot be listed or deleted now goes with a later file.
    }
  }

  /** Whether it is older than any writing takes. */
  private static boolean old(Path file) throws IOException {
    return Files.getLastModifiedTime(file)
        .toInstant()
        .isBefore(Instant.now().minus(LONGEST_WRITING));
  }
}
