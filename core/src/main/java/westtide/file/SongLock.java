package westtide.file;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import westtide.file.disk.HeldLock;
import westtide.file.disk.LeftLocks;
import westtide.file.disk.ThisProcess;

/**
 * The lock of a song file, so that two windows never write over each other's work: a hidden file
 * beside it, {@code .NAME.lock}, that says which process on which machine has it.
 */
public final class SongLock {
  /** Bytes of the longest name most file systems take. */
  private static final int LONGEST_NAME = 255;

  private SongLock() {}

  /**
   * What came of asking for it.
   *
   * @param lock the lock; empty also where nothing can be locked, which is told
   * @param owner who has it, when it is somebody else
   */
  public record Answer(Optional<HeldLock> lock, Optional<String> owner) {
    /** Whether nobody can be kept from opening the song at the same time. */
    public boolean unlocked() {
      return lock.isEmpty() && owner.isEmpty();
    }
  }

  /**
   * Asks for the lock of a song file. A lock file of another person, which cannot be written, is
   * asked whether somebody holds it. Those that crashes left in the folder go.
   */
  public static Answer of(Path song, Clock clock) {
    Path file = file(song);
    LeftLocks.clean(file.getParent(), ".*.lock");
    try {
      Optional<HeldLock> lock = HeldLock.take(file, ThisProcess.words(clock));
      return lock.isPresent()
          ? new Answer(lock, Optional.empty())
          : new Answer(Optional.empty(), Optional.of(owner(file)));
    } catch (IOException nothingCanBeWritten) {
      return new Answer(
          Optional.empty(),
          HeldLock.isHeldByOther(file) ? Optional.of(owner(file)) : Optional.empty());
    }
  }

  private static String owner(Path file) {
    return HeldLock.owner(file).orElse("another process");
  }

  /** Links to one song have one lock. */
  static Path file(Path song) {
    Path real = real(song.toAbsolutePath());
    String name = "." + real.getFileName() + ".lock";
    boolean fits = name.getBytes(StandardCharsets.UTF_8).length <= LONGEST_NAME;
    return real.resolveSibling(fits ? name : "." + hash(real) + ".lock");
  }

  /** A name too long for an ending of its own is told by what it comes to. */
  private static String hash(Path real) {
    byte[] bytes = real.getFileName().toString().getBytes(StandardCharsets.UTF_8);
    return UUID.nameUUIDFromBytes(bytes).toString();
  }

  private static Path real(Path song) {
    try {
      return song.toRealPath();
    } catch (IOException missing) {
      return song;
    }
  }
}
