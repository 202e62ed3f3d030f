package westtide.file;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.file.Path;
import westtide.file.disk.UnusableFileException;
import westtide.file.disk.WholeFile;
import westtide.style.Style;

/** A style of one's own as a JSON file that can be edited, shared and read again. */
public final class StyleFile {
  /** The ending of style files. */
  public static final String ENDING = ".style.json";

  private static final int BYTES = 4 << 20;
  private static final ObjectMapper MAPPER = new ObjectMapper();

  private StyleFile() {}

  /**
   * Writes a style of this person's own.
   *
   * @throws UnusableFileException when the place cannot be written
   */
  public static void write(Style style, Path path) throws UnusableFileException {
    try {
      String text = MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(style.write());
      WholeFile.keep(path, text + "\n");
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a style could not be written as JSON", e);
    }
  }

  /**
   * Reads a style.
   *
   * @throws UnusableFileException when the file is missing or is no style; the message says why
   */
  public static Style read(Path path) throws UnusableFileException {
    JsonNode tree = JsonDocument.read(path, BYTES);
    try {
      return Style.read(tree);
    } catch (RuntimeException | StackOverflowError e) {
      throw new UnusableFileException(path + " is no style: " + e.getMessage(), e);
    }
  }
}
