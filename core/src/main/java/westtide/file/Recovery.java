package westtide.file;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.LongPredicate;
import java.util.stream.Stream;
import westtide.song.Song;

/**
 * Unsaved work kept beside the song files, so that a crash loses seconds. Each running application
 * keeps one file, named by its process number; a file whose process no longer runs was left by a
 * crash.
 *
 * @param folder where the files are
 * @param process the number of this process
 */
public record Recovery(Path folder, long process) {
  private static final String ENDING = ".unsaved";
  private static final ObjectMapper MAPPER = new ObjectMapper();

  /**
   * Work left by a crash.
   *
   * @param at the recovery file
   * @param song the song as it was
   * @param file the song file it belonged to, if it had one
   */
  public record Left(Path at, Song song, Optional<Path> file) {}

  /** The recovery of this process in a folder. */
  public static Recovery in(Path folder) {
    return new Recovery(folder, ProcessHandle.current().pid());
  }

  /**
   * Keeps the present state.
   *
   * @throws IOException when the folder cannot be written
   */
  public void keep(Song song, Optional<Path> file) throws IOException {
    Files.createDirectories(folder);
    ObjectNode out = MAPPER.createObjectNode();
    out.put("file", file.map(path -> path.toAbsolutePath().toString()).orElse(""));
    out.put("song", SongFile.format(song));
    WholeFile.write(own(), MAPPER.writeValueAsBytes(out));
  }

  /**
   * Forgets what this process kept, after saving or on a clean end.
   *
   * @throws IOException when the file cannot be deleted
   */
  public void forget() throws IOException {
    Files.deleteIfExists(own());
  }

  /**
   * Work left by processes that no longer run; files that cannot be read are passed over and stay.
   *
   * @param running tells whether a process number is in use
   * @throws IOException when the folder cannot be listed
   */
  public List<Left> left(LongPredicate running) throws IOException {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    List<Left> out = new ArrayList<>();
    try (Stream<Path> files = Files.list(folder)) {
      for (Path path : files.filter(this::named).sorted().toList()) {
        if (!running.test(number(path))) {
          read(path).ifPresent(out::add);
        }
      }
    }
    return out;
  }

  private static Optional<Left> read(Path path) throws IOException {
    try {
      JsonNode tree = MAPPER.readTree(Files.readString(path));
      String file = tree.path("file").asText();
      Song song = SongFile.parse(tree.path("song").asText());
      return Optional.of(
          new Left(path, song, file.isEmpty() ? Optional.empty() : Optional.of(Path.of(file))));
    } catch (JsonProcessingException | IllegalArgumentException damaged) {
      return Optional.empty();
    }
  }

  private boolean named(Path path) {
    return path.getFileName().toString().matches("\\d{1,18}\\" + ENDING);
  }

  private static long number(Path path) {
    return Long.parseLong(path.getFileName().toString().replace(ENDING, ""));
  }

  private Path own() {
    return folder.resolve(process + ENDING);
  }
}
