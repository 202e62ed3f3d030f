package westtide.file;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.ObjectWriter;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import westtide.score.Score;
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
   * @param song the song
   * @param notices what had to be mended in it, a sentence each
   */
  public record Opened(Song song, List<String> notices) {}

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
    try {
      return opened(Files.readString(path));
    } catch (JsonProcessingException e) {
      throw new UnusableFileException(
          path + " is damaged and was left as it is: it is not complete JSON.", e);
    } catch (IllegalArgumentException e) {
      throw new UnusableFileException(
          path + " is damaged and was left as it is: " + e.getMessage() + ".", e);
    } catch (java.nio.charset.CharacterCodingException e) {
      throw new UnusableFileException(
          path + " is damaged and was left as it is: it is not a text file.", e);
    } catch (IOException e) {
      throw new UnusableFileException(
          path + " could not be opened: " + WholeFile.reason(e) + ".", e);
    }
  }

  /**
   * Reads a song that ships with the product.
   *
   * @throws IOException when it cannot be read
   */
  public static Song read(InputStream in) throws IOException {
    return parse(new String(in.readAllBytes(), StandardCharsets.UTF_8));
  }

  /**
   * Writes a song, replacing an old file whole.
   *
   * @throws UnusableFileException with one sentence when the place cannot be written
   */
  public static void write(Song song, Path path) throws UnusableFileException {
    WholeFile.write(path, format(song).getBytes(StandardCharsets.UTF_8));
  }

  /** The document as text. */
  static String format(Song song) {
    ObjectNode tree = new SongWriter().write(song);
    try {
      ForeignFields.into(tree, MAPPER.readTree(song.extras()));
      return writer().writeValueAsString(tree) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("the song could not be written as JSON", e);
    }
  }

  /** The song of a document. */
  static Song parse(String text) throws JsonProcessingException {
    return opened(text).song();
  }

  private static Opened opened(String text) throws JsonProcessingException {
    SongMending.Mended mended = SongMending.of(MAPPER.readTree(text));
    Song song = new SongReader(mended.tree()).read();
    score(song);
    Song whole =
        ForeignFields.in(mended.tree(), new SongWriter().write(song))
            .map(fields -> song.withExtras(fields.toString()))
            .orElse(song);
    return new Opened(whole, mended.notices());
  }

  /** What cannot be played is refused here, not when it is shown. */
  private static void score(Song song) {
    try {
      Score.of(song);
    } catch (RuntimeException e) {
      throw new IllegalArgumentException("it cannot be played, " + e.getMessage(), e);
    }
  }

  private static ObjectWriter writer() {
    DefaultPrettyPrinter printer = new DefaultPrettyPrinter();
    printer.indentObjectsWith(new DefaultIndenter("  ", "\n"));
    return MAPPER.writer(printer);
  }
}
