package westtide.cli;

import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Optional;
import westtide.file.disk.WholeFile;

/** An output that remembers that it failed, which printing does not tell. */
final class CheckedOutput extends FilterOutputStream {
  private IOException first;

  CheckedOutput(OutputStream out) {
    super(out);
  }

  @Override
  public void write(byte[] bytes, int from, int length) throws IOException {
    try {
      out.write(bytes, from, length);
    } catch (IOException e) {
      first = first == null ? e : first;
      throw e;
    }
  }

  @Override
  public void write(int one) throws IOException {
    write(new byte[] {(byte) one}, 0, 1);
  }

  /** What went wrong, as a sentence; whoever stops reading early is no failure. */
  Optional<String> failure() {
    return Optional.ofNullable(first).flatMap(CheckedOutput::told);
  }

  /** What a failure of the standard output is, as a sentence; empty when nobody reads on. */
  static Optional<String> told(IOException failure) {
    return Optional.of(WholeFile.reason(failure))
        .filter(why -> !why.contains("Broken pipe"))
        .map(why -> "the standard output could not be written: " + why + ".");
  }
}
