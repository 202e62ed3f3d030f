package westtide.file.disk;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.UUID;

/** Temporary files beside the files they will become, and those that a crash left. */
final class Temporaries {
  private static final String START = ".west-tide-";
  private static final String ENDING = ".part";

  /** Tells the files of this process from those of others, which may have the same number. */
  private static final String PROCESS = UUID.randomUUID().toString().substring(0, 8);

  private Temporaries() {}

  /** The temporary file of a target: the same one each time, and no other process's. */
  static Path of(Path target) {
    String name = Integer.toHexString(target.getFileName().toString().hashCode());
    long thread = Thread.currentThread().getId();
    return target.resolveSibling(START + PROCESS + "-" + name + "-" + thread + ENDING);
  }

  /** Deletes what nobody writes any more: whoever writes holds a lock. */
  static void clean(Path folder) {
    try (DirectoryStream<Path> left = Files.newDirectoryStream(folder, START + "*" + ENDING)) {
      for (Path file : left) {
        if (!file.getFileName().toString().startsWith(START + PROCESS) && isFree(file)) {
          Files.deleteIfExists(file);
        }
      }
    } catch (IOException e) {
      // What cannot be listed or deleted now goes with a later file.
    }
  }

  private static boolean isFree(Path file) {
    try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE);
        FileLock lock = channel.tryLock()) {
      return lock != null;
    } catch (IOException | OverlappingFileLockException e) {
      return false;
    }
  }
}
