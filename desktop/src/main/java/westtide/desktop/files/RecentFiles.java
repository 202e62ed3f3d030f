package westtide.desktop.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import westtide.file.disk.WholeFile;

/**
 * The song files opened or saved last, kept in a text file, newest first.
 *
 * @param list the text file
 */
public record RecentFiles(Path list) {
  private static final Logger LOG = LoggerFactory.getLogger(RecentFiles.class);
  private static final int MOST = 8;

  /** The files that still exist. */
  public List<Path> files() {
    try {
      return Files.exists(list)
          ? Files.readAllLines(list).stream().map(Path::of).filter(Files::isRegularFile).toList()
          : List.of();
    } catch (IOException | java.nio.file.InvalidPathException e) {
      LOG.warn("The list of recent files could not be read", e);
      return List.of();
    }
  }

  /** Puts a file in front. */
  public void add(Path file) {
    List<Path> files = new ArrayList<>(files());
    Path absolute = file.toAbsolutePath();
    files.remove(absolute);
    files.add(0, absolute);
    try {
      List<String> lines = files.stream().limit(MOST).map(Path::toString).toList();
      WholeFile.keep(list, String.join("\n", lines) + "\n");
    } catch (IOException e) {
      LOG.warn("The list of recent files could not be written", e);
    }
  }
}
