package westtide.file;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** Writes files whole: to a temporary file in the same folder first, then into place. */
final class WholeFile {
  private static final int BUFFER = 1 << 16;

  private WholeFile() {}

  /** Writes what a file holds. */
  @FunctionalInterface
  interface Content {
    /** Writes it; false when it was given up, and nothing shall be left. */
    boolean to(OutputStream out) throws IOException;
  }

  static void write(Path path, byte[] content) throws UnusableFileException {
    write(
        path,
        out -> {
          out.write(content);
          return true;
        });
  }

  /** Writes a file piece by piece; false when its content gave up. */
  static boolean write(Path path, Content content) throws UnusableFileException {
    Path target = path.toAbsolutePath();
    Path folder = target.getParent();
    if (folder == null || !Files.isDirectory(folder)) {
      throw new UnusableFileException(
          path + " could not be written: there is no folder " + folder + ".", null);
    }
    Path temporary = null;
    try {
      temporary = Files.createTempFile(folder, ".west-tide-", ".part");
      if (fill(temporary, content)) {
        move(temporary, target);
        return true;
      }
      discard(temporary);
      return false;
    } catch (IOException e) {
      discard(temporary);
      throw new UnusableFileException(path + " could not be written: " + reason(e) + ".", e);
    }
  }

  private static boolean fill(Path temporary, Content content) throws IOException {
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(temporary), BUFFER)) {
      return content.to(out);
    }
  }

  private static void move(Path temporary, Path target) throws IOException {
    try {
      Files.move(
          temporary, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (AtomicMoveNotSupportedException e) {
      Files.move(temporary, target, StandardCopyOption.REPLACE_EXISTING);
    }
  }

  private static void discard(Path temporary) {
    if (temporary != null) {
      temporary.toFile().delete();
    }
  }

  static String reason(IOException e) {
    if (e instanceof java.nio.file.AccessDeniedException) {
      return "it may not be changed";
    }
    if (e instanceof java.nio.file.NoSuchFileException) {
      return "it does not exist";
    }
    return e.getMessage() == null ? "the disk refused it" : e.getMessage();
  }
}
