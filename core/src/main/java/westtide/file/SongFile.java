package westtide.file;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.ObjectWriter;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.ForkJoinTask;
import westtide.file.disk.UnusableFileException;
import westtide.file.disk.WholeFile;
import westtide.score.Score;
import westtide.song.Role;
import westtide.song.Song;

/**
 * The song file, {@code .tide}: one JSON document in UTF-8 with a version, its fields always in the
 * same order. Fields of a newer version are kept and written again.
 */
public final class SongFile {
  /** The ending of song files. */
  public static final String ENDING = ".tide";

  private static final ObjectMapper MAPPER = new ObjectMapper();

  private SongFile() {}

  /**
   * A song that was read.
   *
   * @param score the song, scored
   * @param newer whether a newer version wrote it, which may say what this one does not know
   * @param notices what had to be mended in it, a sentence each
   */
  public record Opened(Score score, boolean newer, List<String> notices) {
    /** The song. */
    public Song song() {
      return score.song();
    }
  }

  /**
   * Reads a song; as {@link #open} without what was mended.
   *
   * @throws UnusableFileException with one sentence when the file is missing or damaged; the file
   *     is left alone
   */
  public static Song read(Path path) throws UnusableFileException {
    return open(path).song();
  }

  /**
   * Reads a song. One that is read can be scored.
   *
   * @throws UnusableFileException with one sentence when the file is missing or damaged; the file
   *     is left alone
   */
  public static Opened open(Path path) throws UnusableFileException {
    JsonNode tree = JsonDocument.read(path, SongLimits.BYTES);
    try {
      return withSounds(opened(tree), path);
    } catch (IllegalArgumentException e) {
      throw JsonDocument.damaged(path, e.getMessage(), e);
    }
  }

  private static Opened withSounds(Opened read, Path path) {
    if (read.song().parts(Role.FOUND).isEmpty()) {
      return read;
    }
    List<String> notices = new ArrayList<>(read.notices());
    List<Path> folders = List.of(SoundShelf.beside(path), SoundShelf.common(path));
    Song filled = SoundShelf.filled(read.song(), folders, notices);
    return new Opened(read.score().after(filled), read.newer(), List.copyOf(notices));
  }

  /**
   * Reads a song that ships with the product.
   *
   * @throws IOException when it cannot be read
   */
  public static Song read(InputStream in) throws IOException {
    return opened(JsonDocument.parse(in.readAllBytes())).song();
  }

  /**
   * Writes a song, replacing an old file whole.
   *
   * @throws UnusableFileException with one sentence when the place cannot be written
   */
  public static void write(Song song, Path path) throws UnusableFileException {
    SoundShelf.keep(song, SoundShelf.beside(path));
    WholeFile.write(path, format(song).getBytes(StandardCharsets.UTF_8));
  }

  /**
   * Writes a song the application keeps for a person, which nobody else may read.
   *
   * @throws UnusableFileException with one sentence when the place cannot be written
   */
  static void keep(Song song, Path path) throws UnusableFileException {
    SoundShelf.keep(song, SoundShelf.common(path));
    WholeFile.keep(path, format(song));
  }

  /** The document as text. */
  static String format(Song song) {
    try {
      return writer().writeValueAsString(tree(song)) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("the song could not be written as JSON", e);
    }
  }

  /** The document as a tree. */
  static ObjectNode tree(Song song) {
    ObjectNode tree = SongFields.write(song);
    try {
      UnknownFields.into(tree, MAPPER.readTree(song.extras()));
      return tree;
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("the song could not be written as JSON", e);
    }
  }

  /** The song of a document in memory. */
  static Song parse(String text) {
    return opened(JsonDocument.parse(text.getBytes(StandardCharsets.UTF_8))).song();
  }

  /** The song of a document; what it does not know is looked for beside the scoring. */
  static Opened opened(JsonNode tree) {
    try {
      SongRepair.Mended mended = SongRepair.of(tree);
      Song read = SongLimits.checked(SongFields.read(mended.tree()));
      int version = tree.path("version").asInt(1);
      Song song = version == EarlierHints.VERSION ? EarlierHints.spelledOut(read) : read;
      List<String> notices = new ArrayList<>(mended.notices());
      notices.addAll(version < SongFields.VERSION ? EarlierHints.told(read) : List.of());
      ForkJoinTask<Optional<ObjectNode>> unknown =
          ForkJoinPool.commonPool()
              .submit(() -> UnknownFields.in(mended.tree(), SongFields.write(song)));
      Score score = Score.of(song);
      Score whole =
          unknown
              .join()
              .map(fields -> score.after(song.withExtras(fields.toString())))
              .orElse(score);
      return new Opened(whole, newer(tree), List.copyOf(notices));
    } catch (IllegalArgumentException e) {
      throw e;
    } catch (RuntimeException | StackOverflowError e) {
      throw new IllegalArgumentException("it cannot be played, " + e.getMessage(), e);
    }
  }

  private static boolean newer(JsonNode tree) {
    return tree.path("version").asInt(1) > SongFields.VERSION;
  }

  private static ObjectWriter writer() {
    DefaultPrettyPrinter printer = new DefaultPrettyPrinter();
    printer.indentObjectsWith(new DefaultIndenter("  ", "\n"));
    return MAPPER.writer(printer);
  }
}
