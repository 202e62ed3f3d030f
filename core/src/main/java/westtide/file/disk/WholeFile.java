package westtide.file.disk;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import westtide.text.Plain;

/**
 * Writes files whole: to a temporary file in the same folder first, flushed, then put into place.
 * What stood there keeps its rights, owner and the links that lead to it. What is no regular file,
 * such as a pipe, is written to and never replaced. Its lock is held until it stands in its place,
 * so that nobody who cleans takes it; temporary files that a crash left go with a later file
 * written there.
 */
public final class WholeFile {
  private static final int BUFFER = 1 << 16;
  private static final int MOST_LINKS = 40;

  private final Disk disk;
  private final Path path;
  private final boolean own;

  WholeFile(Disk disk, Path path) {
    this(disk, path, false);
  }

  private WholeFile(Disk disk, Path path, boolean own) {
    this.disk = disk;
    this.path = path;
    this.own = own;
  }

  /** Writes what a file holds. */
  @FunctionalInterface
  public interface Content {
    /** Writes it; false when it was given up, and nothing shall be left. */
    boolean to(OutputStream out) throws IOException;
  }

  /**
   * Writes a file.
   *
   * @throws UnusableFileException with one sentence; what stood there is as it was
   */
  public static void write(Path path, byte[] content) throws UnusableFileException {
    write(path, all(content));
  }

  /**
   * Writes a file the application keeps for a person, which nobody else may read; its folder is
   * made where there is none.
   *
   * @throws UnusableFileException with one sentence; what stood there is as it was
   */
  public static void keep(Path path, byte[] content) throws UnusableFileException {
    WholeFile file = new WholeFile(Disk.LOCAL, path, true);
    try {
      PrivateFolder.make(path.toAbsolutePath().getParent());
    } catch (IOException e) {
      throw file.failed(reason(e), e);
    }
    file.write(all(content));
  }

  /** The same for a text. */
  public static void keep(Path path, String text) throws UnusableFileException {
    keep(path, text.getBytes(StandardCharsets.UTF_8));
  }

  private static Content all(byte[] content) {
    return out -> {
      out.write(content);
      return true;
    };
  }

  /**
   * Writes a file piece by piece; false when its content gave up.
   *
   * @throws UnusableFileException with one sentence; what stood there is as it was
   */
  public static boolean write(Path path, Content content) throws UnusableFileException {
    return new WholeFile(Disk.LOCAL, path).write(content);
  }

  boolean write(Content content) throws UnusableFileException {
    try {
      Path target = target();
      return isOther(target) ? stream(target, content) : replace(target, content);
    } catch (UnusableFileException e) {
      throw e;
    } catch (IOException e) {
      throw failed(reason(e), e);
    }
  }

  private UnusableFileException failed(String why, IOException e) {
    return new UnusableFileException(path + " could not be written: " + why + ".", e);
  }

  /** Where the last of the links leads that the path may be. */
  private Path target() throws IOException {
    Path target = path.toAbsolutePath();
    for (int i = 0; Files.isSymbolicLink(target); i++) {
      if (i == MOST_LINKS) {
        throw failed("it is a link that leads in a circle", null);
      }
      target = target.resolveSibling(Files.readSymbolicLink(target)).normalize();
    }
    if (Files.isDirectory(target)) {
      throw failed("it is a folder", null);
    }
    if (target.getParent() == null || !Files.isDirectory(target.getParent())) {
      throw failed("there is no folder " + target.getParent(), null);
    }
    return target;
  }

  private static boolean isOther(Path target) {
    return Files.exists(target, LinkOption.NOFOLLOW_LINKS) && !Files.isRegularFile(target);
  }

  private static boolean stream(Path target, Content content) throws IOException {
    try (OutputStream out =
        new BufferedOutputStream(Files.newOutputStream(target, StandardOpenOption.WRITE), BUFFER)) {
      return content.to(out);
    }
  }

  private boolean replace(Path target, Content content) throws IOException {
    if (Files.exists(target) && !Files.isWritable(target)) {
      throw failed("it may not be changed", null);
    }
    Temporaries.clean(target.getParent());
    Path temporary = Temporaries.of(target);
    try (Disk.Writing writing = create(temporary)) {
      temporary.toFile().deleteOnExit();
      boolean whole = fill(writing, content);
      if (whole) {
        if (!own && Files.exists(target)) {
          disk.dressLike(temporary, target);
        }
        disk.replace(temporary, target);
      }
      return whole;
    } finally {
      discard(temporary);
    }
  }

  private Disk.Writing create(Path temporary) throws IOException {
    return own ? disk.create(temporary, PrivateFolder.ofFile(temporary)) : disk.create(temporary);
  }

  private static boolean fill(Disk.Writing writing, Content content) throws IOException {
    OutputStream out = new BufferedOutputStream(writing.out(), BUFFER);
    boolean whole = content.to(out);
    out.flush();
    writing.flush();
    return whole;
  }

  private void discard(Path temporary) {
    try {
      disk.delete(temporary);
    } catch (IOException e) {
      // The next file written here cleans it up.
    }
  }

  /** Why the disk refused something, as part of a sentence. */
  public static String reason(IOException e) {
    if (e instanceof AccessDeniedException) {
      return "it may not be changed";
    }
    if (e instanceof NoSuchFileException) {
      return "it does not exist";
    }
    String told = e instanceof FileSystemException disk ? disk.getReason() : e.getMessage();
    return told == null ? "the disk refused it" : Plain.of(told);
  }
}
