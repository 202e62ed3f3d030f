package westtide.cli;

import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** Files that go to the standard output because they are called {@code -}. */
final class StandardOutput {
  private StandardOutput() {}

  /** Writes a file. */
  interface Writer {
    void write(Path file) throws IOException;
  }

  static boolean means(Path file) {
    return file.toString().equals("-");
  }

  /**
   * Writes a file, or what it would hold to the standard output; true when it is a file.
   *
   * @throws IOException when it cannot be written
   */
  static boolean write(Path file, Writer writer) throws IOException {
    if (!means(file)) {
      writer.write(file);
      return true;
    }
    Path folder = Files.createTempDirectory("west-tide-");
    Path whole = folder.resolve("out");
    whole.toFile().deleteOnExit();
    folder.toFile().deleteOnExit();
    try {
      writer.write(whole);
      copyOut(whole);
    } finally {
      Files.deleteIfExists(whole);
      Files.deleteIfExists(folder);
    }
    return false;
  }

  private static void copyOut(Path whole) throws IOException {
    try {
      Files.copy(whole, new FileOutputStream(FileDescriptor.out));
    } catch (IOException e) {
      Optional<String> told = CheckedOutput.told(e);
      if (told.isPresent()) {
        throw new IOException(told.get(), e);
      }
    }
  }
}
