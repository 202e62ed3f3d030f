package westtide.file.disk;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFileAttributes;
import java.util.Set;

/** The file systems of this machine, by way of channels that can be flushed and locked. */
final class LocalDisk implements Disk {
  @Override
  public Writing create(Path file, FileAttribute<?>... rights) throws IOException {
    FileChannel channel =
        FileChannel.open(
            file, Set.of(StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE), rights);
    lock(channel);
    return new Open(channel);
  }

  private static void lock(FileChannel channel) {
    try {
      channel.tryLock();
    } catch (IOException unsupported) {
      // File systems without locks lose only the cleaning after a crash.
    }
  }

  private record Open(FileChannel channel) implements Writing {
    @Override
    public OutputStream out() {
      return Channels.newOutputStream(channel);
    }

    @Override
    public void flush() throws IOException {
      channel.force(true);
    }

    @Override
    public void close() throws IOException {
      channel.close();
    }
  }

  @Override
  public void dressLike(Path file, Path model) throws IOException {
    PosixFileAttributeView own = Files.getFileAttributeView(file, PosixFileAttributeView.class);
    PosixFileAttributeView like = Files.getFileAttributeView(model, PosixFileAttributeView.class);
    if (own == null || like == null) {
      return;
    }
    PosixFileAttributes old = like.readAttributes();
    PosixFileAttributes now = own.readAttributes();
    try {
      if (!now.group().equals(old.group())) {
        own.setGroup(old.group());
      }
      if (!now.owner().equals(old.owner())) {
        own.setOwner(old.owner());
      }
    } catch (IOException notAllowed) {
      // Only an administrator gives files away; the rights are kept all the same.
    }
    own.setPermissions(old.permissions());
  }

  @Override
  public void replace(Path file, Path target) throws IOException {
    try {
      Files.move(file, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (AtomicMoveNotSupportedException e) {
      Files.move(file, target, StandardCopyOption.REPLACE_EXISTING);
    }
    flushFolder(target.toAbsolutePath().getParent());
  }

  /** File systems that cannot flush a folder keep the name by themselves. */
  private static void flushFolder(Path folder) {
    try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
      channel.force(true);
    } catch (IOException unsupported) {
      // Nothing more can be done for the name.
    }
  }

  @Override
  public void delete(Path file) throws IOException {
    Files.deleteIfExists(file);
  }
}
