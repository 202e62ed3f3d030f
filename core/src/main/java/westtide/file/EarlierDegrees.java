package westtide.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;

/**
 * Degrees of chords as earlier files write them: a bare figure was a member of the chord, which has
 * the sign R now.
 */
final class EarlierDegrees {
  /** The first version of the song file in which a bare figure is a degree of the key. */
  static final int SINCE = 4;

  private static final int DEGREE = 2;

  private EarlierDegrees() {}

  /** Gives the members of chords in the lines of these parts their sign. */
  static void rename(List<ObjectNode> parts) {
    for (ObjectNode part : parts) {
      for (JsonNode pattern : part.path("patterns")) {
        if (pattern.path("kind").asText().equals("attached")) {
          pattern.path("notes").forEach(EarlierDegrees::rename);
        }
      }
    }
  }

  private static void rename(JsonNode note) {
    String degree = note.path(DEGREE).asText();
    if (note instanceof ArrayNode fields && degree.matches(">?[b#]*\\d+")) {
      fields.set(DEGREE, degree.replaceFirst("(\\d+)$", "R$1"));
    }
  }
}
