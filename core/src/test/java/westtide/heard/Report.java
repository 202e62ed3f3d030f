package westtide.heard;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Puts measured tables in their places in a document when a run is asked to report. */
public final class Report {
  private Report() {}

  /** Replaces a table of docs/sound.md. */
  static void table(String header, List<String> rows) {
    table("sound.report", header, rows);
  }

  /**
   * Replaces the table that begins with a header line by another of the same header, in the
   * document a system property names; nothing where it names none.
   */
  public static synchronized void table(String property, String header, List<String> rows) {
    String report = System.getProperty(property, "");
    if (report.isEmpty()) {
      return;
    }
    try {
      Path file = Path.of(report);
      String text = Files.readString(file);
      int from = text.indexOf(header);
      if (from < 0) {
        throw new IllegalStateException("no table in " + file + " begins with " + header);
      }
      int rule = text.indexOf('\n', from) + 1;
      int start = text.indexOf('\n', rule) + 1;
      int end = start;
      while (text.startsWith("|", end)) {
        end = text.indexOf('\n', end) + 1;
      }
      String table = String.join("\n", rows) + "\n";
      Files.writeString(file, text.substring(0, start) + table + text.substring(end));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
