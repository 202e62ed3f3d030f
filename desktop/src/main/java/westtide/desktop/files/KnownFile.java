package westtide.desktop.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import westtide.file.disk.BoundedFile;

/**
 * A file as it was when this window last read or wrote it.
 *
 * @param path the file
 * @param content a digest of its bytes; empty when it was not there
 */
record KnownFile(Path path, String content) {
  private static final int MOST = 64 << 20;

  static KnownFile of(Path path) {
    return new KnownFile(path, digest(path));
  }

  /** Whether somebody else has written it since, or taken it away. */
  boolean changed() {
    return !digest(path).equals(content);
  }

  private static String digest(Path path) {
    try {
      byte[] bytes = BoundedFile.read(path, MOST);
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (IOException e) {
      return Files.exists(path) ? "unreadable" : "";
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has SHA-256", e);
    }
  }
}
