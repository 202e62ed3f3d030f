package westtide.file.disk;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Set;

/** Folders nobody else can look into: what a person keeps there is theirs alone. */
public final class PrivateFolder {
  private static final Set<PosixFilePermission> OWNER_ONLY =
      PosixFilePermissions.fromString("rwx------");
  private static final Set<PosixFilePermission> OWNER_ONLY_FILE =
      PosixFilePermissions.fromString("rw-------");
  private static final int TRIES = 20;

  private PrivateFolder() {}

  /**
   * Makes a folder where there is none, with rights for its owner alone; one that is there is kept,
   * and closed to others if this person may close it.
   *
   * @throws IOException when it cannot be made
   */
  public static void make(Path folder) throws IOException {
    if (!Files.isDirectory(folder)) {
      if (folder.getParent() != null) {
        Files.createDirectories(folder.getParent());
      }
      create(folder);
    }
    close(folder, OWNER_ONLY);
  }

  /** Closes the files of a folder to others, such as those a log wrote, by a pattern of names. */
  static void closeFiles(Path folder, String pattern) {
    try (DirectoryStream<Path> files = Files.newDirectoryStream(folder, pattern)) {
      for (Path file : files) {
        if (Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
          close(file, OWNER_ONLY_FILE);
        }
      }
    } catch (IOException e) {
      // The folder itself is closed.
    }
  }

  /** What a file of this person's own is made with. */
  static FileAttribute<?>[] ofFile(Path file) {
    return attributes(file, OWNER_ONLY_FILE);
  }

  private static void create(Path folder) throws IOException {
    try {
      Files.createDirectory(folder, attributes(folder, OWNER_ONLY));
    } catch (FileAlreadyExistsException madeMeanwhile) {
      if (!Files.isDirectory(folder)) {
        throw madeMeanwhile;
      }
    }
  }

  private static FileAttribute<?>[] attributes(Path path, Set<PosixFilePermission> rights) {
    boolean posix = path.getFileSystem().supportedFileAttributeViews().contains("posix");
    return posix
        ? new FileAttribute<?>[] {PosixFilePermissions.asFileAttribute(rights)}
        : new FileAttribute<?>[0];
  }

  private static void close(Path path, Set<PosixFilePermission> rights) {
    try {
      Files.setPosixFilePermissions(path, rights);
    } catch (IOException | UnsupportedOperationException notOurs) {
      // What is of somebody else, or a file system without rights, stays as it is.
    }
  }

  /**
   * A folder below one that everybody can write: this person's own, no link, and closed to others.
   * A name that somebody else has taken is left to them for one with a number.
   */
  static Path below(Path shared, String name, String user) {
    String plain = user == null ? "user" : user.replaceAll("[^A-Za-z0-9._-]", "-");
    try {
      Files.createDirectories(shared);
    } catch (IOException cannotBeMade) {
      return shared.resolve(name);
    }
    for (int i = 1; i <= TRIES; i++) {
      Path folder = shared.resolve(name + "-" + plain + (i == 1 ? "" : "-" + i));
      if (isOurs(folder)) {
        return folder;
      }
    }
    return freshBelow(shared, name);
  }

  private static Path freshBelow(Path shared, String name) {
    try {
      return Files.createTempDirectory(shared, name + "-");
    } catch (IOException e) {
      return shared.resolve(name);
    }
  }

  private static boolean isOurs(Path folder) {
    try {
      if (!Files.exists(folder, LinkOption.NOFOLLOW_LINKS)) {
        create(folder);
      }
      boolean folderItself = Files.isDirectory(folder, LinkOption.NOFOLLOW_LINKS);
      if (!folderItself || !ownedByUs(folder)) {
        return false;
      }
      close(folder, OWNER_ONLY);
      return Files.isWritable(folder);
    } catch (IOException taken) {
      return false;
    }
  }

  /** Whoever owns a file made in it now is who owns what this person makes. */
  private static boolean ownedByUs(Path folder) throws IOException {
    try {
      Path probe = Files.createTempFile(folder, ".probe", "");
      try {
        return Files.getOwner(probe).equals(Files.getOwner(folder, LinkOption.NOFOLLOW_LINKS));
      } finally {
        Files.deleteIfExists(probe);
      }
    } catch (UnsupportedOperationException e) {
      return true;
    }
  }
}
