package westtide.file;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import westtide.file.disk.HeldLock;
import westtide.file.disk.ThisProcess;

/**
 * The lock of a song file, so that two windows never write over each other's work: a hidden file
 * beside it, {@code .NAME.lock}, that says which process on which machine has it.
 */
public final class SongLock {
  private SongLock() {}

  /**
   * What came of asking for it.
   *
   * @param lock the lock; empty also where nothing can be written, and nothing be written over
   * @param owner who has it, when it is somebody else
   */
  public record Answer(Optional<HeldLock> lock, Optional<String> owner) {}

  /** Asks for the lock of a song file. */
  public static Answer of(Path song, Clock clock) {
    Path file = file(song);
    try {
      Optional<HeldLock> lock = HeldLock.take(file, ThisProcess.words(clock));
      return lock.isPresent()
          ? new Answer(lock, Optional.empty())
          : new Answer(Optional.empty(), Optional.of(owner(file)));
    } catch (IOException nothingCanBeWritten) {
      return new Answer(Optional.empty(), Optional.empty());
    }
  }

  private static String owner(Path file) {
    return HeldLock.owner(file).orElse("another process");
  }

  /** Links to one song have one lock. */
  static Path file(Path song) {
    Path real = real(song.toAbsolutePath());
    return real.resolveSibling("." + real.getFileName() + ".lock");
  }

  private static Path real(Path song) {
    try {
      return song.toRealPath();
    } catch (IOException missing) {
      return song;
    }
  }
}
