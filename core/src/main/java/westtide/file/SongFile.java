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
import java.nio.file.Files;
import java.nio.file.Path;
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
   * Reads a song.
   *
   * @throws UnusableFileException with one sentence when the file is missing or damaged; the file
   *     is left alone
   */
  public static Song read(Path path) throws UnusableFileException {
    try {
      return parse(Files.readString(path));
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
    JsonNode tree = MAPPER.readTree(text);
    Song song = new SongReader(tree).read();
    return ForeignFields.in(tree, new SongWriter().write(song))
        .map(fields -> song.withExtras(fields.toString()))
        .orElse(song);
  }

  private static ObjectWriter writer() {
    DefaultPrettyPrinter printer = new DefaultPrettyPrinter();
    printer.indentObjectsWith(new DefaultIndenter("  ", "\n"));
    return MAPPER.writer(printer);
  }
}
