package westtide.desktop.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import westtide.file.disk.WholeFile;

/**
 * The folders songs were delivered into where that is not their own, kept in a text file: a song
 * and its folder on each line, the last used at the end.
 *
 * @param list the text file
 */
record DeliverFolders(Path list) {
  private static final Logger LOG = LoggerFactory.getLogger(DeliverFolders.class);
  private static final int MOST = 50;
  private static final String BETWEEN = "\t";

  /** The folder a song was delivered into last; empty where none was chosen for it. */
  Optional<Path> of(Path song) {
    try {
      return Optional.ofNullable(all().get(key(song))).map(Path::of);
    } catch (InvalidPathException e) {
      LOG.warn("A folder to deliver into could not be read", e);
      return Optional.empty();
    }
  }

  /** Keeps the folder of a song, or that it has none. */
  void keep(Path song, Optional<Path> folder) {
    Map<String, String> all = all();
    all.remove(key(song));
    folder.ifPresent(into -> all.put(key(song), into.toAbsolutePath().toString()));
    List<String> lines =
        all.entrySet().stream()
            .skip(Math.max(0, all.size() - MOST))
            .map(each -> each.getKey() + BETWEEN + each.getValue())
            .toList();
    try {
      WholeFile.keep(list, String.join("\n", lines) + "\n");
    } catch (IOException e) {
      LOG.warn("The folders to deliver into could not be written", e);
    }
  }

  private static String key(Path song) {
    return song.toAbsolutePath().toString();
  }

  private Map<String, String> all() {
    Map<String, String> out = new LinkedHashMap<>();
    try {
      if (Files.exists(list)) {
        for (String line : Files.readAllLines(list)) {
          String[] fields = line.split(BETWEEN);
          if (fields.length == 2) {
            out.put(fields[0], fields[1]);
          }
        }
      }
    } catch (IOException e) {
      LOG.warn("The folders to deliver into could not be read", e);
    }
    return out;
  }
}
