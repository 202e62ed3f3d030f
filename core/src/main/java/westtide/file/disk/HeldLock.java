package westtide.file.disk;

import java.io.Closeable;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.OpenOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileAttribute;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ThreadLocalRandom;

/**
 * A file that only one process has at a time. It says who has it; that somebody still does is told
 * by the system's lock, which ends with the process however it ends. A process must not ask for
 * what it holds itself: opening and closing a file gives all of the process's locks on it back.
 */
public final class HeldLock implements Closeable {
  private static final int TRIES = 5;
  private static final Set<OpenOption> MADE =
      Set.of(StandardOpenOption.CREATE, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS);
  private static final int LONGEST_PADDING = 4000;

  private final Path file;
  private final FileChannel channel;

  private HeldLock(Path file, FileChannel channel) {
    this.file = file;
    this.channel = channel;
  }

  /**
   * Takes a lock; empty when somebody has it.
   *
   * @param owner a line that says who takes it
   * @throws IOException when the file cannot be made there
   */
  public static Optional<HeldLock> take(Path file, String owner) throws IOException {
    return taken(file, owner);
  }

  /**
   * Takes a lock in a folder of this person's own, which nobody else may read.
   *
   * @throws IOException when the file cannot be made there
   */
  public static Optional<HeldLock> takePrivately(Path file, String owner) throws IOException {
    return taken(file, owner, PrivateFolder.ofFile(file));
  }

  private static Optional<HeldLock> taken(Path file, String owner, FileAttribute<?>... rights)
      throws IOException {
    for (int i = 0; i < TRIES; i++) {
      FileChannel channel = FileChannel.open(file, MADE, rights);
      if (!locked(channel)) {
        channel.close();
        return Optional.empty();
      }
      HeldLock lock = new HeldLock(file, channel);
      if (lock.signed(owner)) {
        return Optional.of(lock);
      }
      channel.close();
    }
    return Optional.empty();
  }

  private static boolean locked(FileChannel channel) throws IOException {
    try {
      return channel.tryLock() != null;
    } catch (OverlappingFileLockException heldHere) {
      return false;
    }
  }

  /**
   * False when the file was deleted by its last owner just before it was locked. That is told by a
   * length drawn at random: to open the file once more and close it would give the lock back.
   */
  private boolean signed(String owner) throws IOException {
    int padding = ThreadLocalRandom.current().nextInt(LONGEST_PADDING);
    String signature = owner + "\n" + " ".repeat(padding) + "\n";
    channel.truncate(0);
    channel.write(ByteBuffer.wrap(signature.getBytes(StandardCharsets.UTF_8)), 0);
    return Files.exists(file) && Files.size(file) == channel.size();
  }

  /** Whether somebody has the lock of a file. */
  public static boolean isHeld(Path file) {
    if (!Files.exists(file)) {
      return false;
    }
    try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
      return !locked(channel);
    } catch (IOException e) {
      return Files.exists(file);
    }
  }

  /**
   * Whether somebody has the lock of a file that may be read but not written, as that of another
   * person: a shared lock is not to be had then.
   */
  public static boolean isHeldByOther(Path file) {
    if (!Files.isReadable(file)) {
      return false;
    }
    try (FileChannel channel = FileChannel.open(file, StandardOpenOption.READ)) {
      return channel.tryLock(0, Long.MAX_VALUE, true) == null;
    } catch (IOException | OverlappingFileLockException e) {
      return false;
    }
  }

  /** The line that says who took it; empty when it cannot be read. */
  public static Optional<String> owner(Path file) {
    try {
      return Files.readString(file).lines().findFirst().filter(line -> !line.isBlank());
    } catch (IOException | UncheckedIOException e) {
      return Optional.empty();
    }
  }

  /** Gives it back; the file goes. */
  @Override
  public void close() throws IOException {
    Files.deleteIfExists(file);
    channel.close();
  }
}
