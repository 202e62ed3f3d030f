package westtide.file;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.exc.StreamConstraintsException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.exc.MismatchedInputException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import westtide.file.disk.BoundedFile;
import westtide.file.disk.UnusableFileException;

/**
 * Reads JSON documents of a bounded size: no more is read than the bound, lists and fields stand at
 * most 60 deep in each other, and no text is longer than 64 Ki letters.
 */
final class JsonDocument {
  static final int DEEPEST = 60;
  static final int LONGEST_TEXT = 1 << 16;

  private static final ObjectMapper MAPPER = mapper();

  private JsonDocument() {}

  private static ObjectMapper mapper() {
    return new ObjectMapper(
            JsonFactory.builder()
                .streamReadConstraints(
                    StreamReadConstraints.builder()
                        .maxNestingDepth(DEEPEST)
                        .maxStringLength(LONGEST_TEXT)
                        .maxNameLength(512)
                        .maxNumberLength(40)
                        .build())
                .build())
        .enable(DeserializationFeature.FAIL_ON_READING_DUP_TREE_KEY);
  }

  /**
   * Reads a document.
   *
   * @param most bytes of the largest one
   * @throws UnusableFileException with one sentence; the file is left alone
   */
  static JsonNode read(Path path, int most) throws UnusableFileException {
    byte[] bytes = BoundedFile.read(path, most);
    try {
      return parse(bytes);
    } catch (IllegalArgumentException e) {
      throw damaged(path, e.getMessage(), e);
    }
  }

  /** What a document says that lies in memory. */
  static JsonNode parse(byte[] document) {
    try {
      String text =
          StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(document)).toString();
      JsonNode tree = MAPPER.readTree(text);
      if (tree == null || tree.isMissingNode()) {
        throw new IllegalArgumentException("it is empty");
      }
      return tree;
    } catch (StreamConstraintsException e) {
      throw new IllegalArgumentException(
          "it has a text of over 64 000 letters, or lists over 60 deep", e);
    } catch (MismatchedInputException e) {
      throw new IllegalArgumentException("one of its fields stands twice in one place", e);
    } catch (JsonProcessingException e) {
      throw new IllegalArgumentException("it is not complete JSON", e);
    } catch (CharacterCodingException e) {
      throw new IllegalArgumentException("it is not a text file in UTF-8", e);
    }
  }

  static UnusableFileException damaged(Path path, String why, Exception cause) {
    return new UnusableFileException(
        path + " is damaged and was left as it is: " + why + ".", cause);
  }
}
