package westtide.file.disk;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

/** Reads files up to a size that is asked for; a larger one is refused before it is read. */
public final class BoundedFile {
  private static final int MEGABYTE = 1 << 20;

  private BoundedFile() {}

  /**
   * The bytes of a file.
   *
   * @param most how many there may be
   * @throws UnusableFileException with one sentence when it is missing, no file or too large
   */
  public static byte[] read(Path path, int most) throws UnusableFileException {
    try {
      if (Files.exists(path) && !Files.isRegularFile(path)) {
        throw new UnusableFileException(path + " could not be opened: it is no file.", null);
      }
      long size = Files.size(path);
      if (size > most) {
        throw tooLarge(path, size, most);
      }
      try (InputStream in = Files.newInputStream(path)) {
        byte[] bytes = in.readNBytes(most + 1);
        if (bytes.length > most) {
          throw tooLarge(path, bytes.length, most);
        }
        return bytes;
      }
    } catch (UnusableFileException e) {
      throw e;
    } catch (IOException e) {
      throw new UnusableFileException(
          path + " could not be opened: " + WholeFile.reason(e) + ".", e);
    }
  }

  private static UnusableFileException tooLarge(Path path, long size, int most) {
    return new UnusableFileException(
        path + " was not opened: it has " + size(size) + ", and at most " + size(most) + " can be.",
        null);
  }

  private static String size(long bytes) {
    return bytes < MEGABYTE
        ? bytes + " bytes"
        : String.format(Locale.ROOT, "%.1f MB", bytes / (double) MEGABYTE);
  }
}
