package westtide.cli;

import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Supplier;
import westtide.file.disk.WholeFile;

/** Files that go to the standard output because they are called {@code -}. */
final class StandardOutput {
  private final Supplier<OutputStream> out;

  StandardOutput(Supplier<OutputStream> out) {
    this.out = out;
  }

  /** The standard output of this process, which tells when its disk is full. */
  static StandardOutput ofProcess() {
    return new StandardOutput(() -> new FileOutputStream(FileDescriptor.out));
  }

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
  boolean write(Path file, Writer writer) throws IOException {
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
      OutputStream to = out.get();
      Files.copy(whole, to);
      to.flush();
    } catch (IOException e) {
      if (WholeFile.reason(e).contains("Broken pipe")) {
        return false;
      }
      throw new IOException(
          "the standard output could not be written: " + WholeFile.reason(e) + ".", e);
    } finally {
      Files.deleteIfExists(whole);
      Files.deleteIfExists(folder);
    }
    return false;
  }
}
