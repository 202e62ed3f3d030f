package westtide.file.disk;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/** Lock files that a crash left: they say a process of ours had them, and nobody holds them. */
public final class LeftLocks {
  private static final int LONGEST_LOCK_FILE = 8192;
  private static final int MOST = 1000;

  private LeftLocks() {}

  /**
   * Deletes those in a folder. What this process made is not touched: to look whether it is held
   * would give it back.
   *
   * @param pattern what lock files are called, such as {@code ".*.lock"}
   */
  public static void clean(Path folder, String pattern) {
    try (DirectoryStream<Path> files = Files.newDirectoryStream(folder, pattern)) {
      int looked = 0;
      for (Path file : files) {
        if (looked++ < MOST && isOfAnother(file)) {
          deleteUnheld(file);
        }
      }
    } catch (IOException e) {
      // What cannot be listed or deleted now goes another time.
    }
  }

  private static boolean isOfAnother(Path file) throws IOException {
    return Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)
        && Files.size(file) <= LONGEST_LOCK_FILE
        && HeldLock.owner(file)
            .filter(ThisProcess::isProcess)
            .filter(owner -> !ThisProcess.isThis(owner))
            .isPresent();
  }

  /**
   * Deletes a file unless somebody holds it. It goes while this process does: who asks meanwhile
   * sees that it went and makes another.
   */
  static void deleteUnheld(Path file) {
    try (FileChannel channel =
            FileChannel.open(file, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS);
        FileLock lock = channel.tryLock()) {
      if (lock != null) {
        Files.deleteIfExists(file);
      }
    } catch (IOException | OverlappingFileLockException inUse) {
      // It stays with whoever has it.
    }
  }
}
