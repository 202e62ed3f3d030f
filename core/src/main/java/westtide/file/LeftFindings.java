package westtide.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import java.util.stream.StreamSupport;

/**
 * The findings a producer chose to ignore, by the names the first version of song files gave them:
 * a finding of drums or of a line named no part, since there was one of each.
 */
final class LeftFindings {
  private static final List<String> OF_GROOVES =
      List.of("drums.slip.", "drums.choked.", "drums.crowd.", "drums.density.", "drums.full.");

  private LeftFindings() {}

  /** Puts the names of this version into the tree of an older file. */
  static void rename(ObjectNode tree) {
    if (!(tree.path("leftAlone") instanceof ArrayNode left)) {
      return;
    }
    Optional<String> drums = first(tree, "DRUMS");
    Optional<JsonNode> line =
        parts(tree).filter(part -> part.path("role").asText().equals("LINE")).findFirst();
    for (int i = 0; i < left.size(); i++) {
      String id = left.get(i).asText();
      for (String stem : OF_GROOVES) {
        if (id.startsWith(stem) && drums.isPresent()) {
          left.set(i, stem + drums.get() + "." + id.substring(stem.length()));
        }
      }
      int dot = id.indexOf('.', "lines.".length());
      if (id.startsWith("lines.") && dot > 0 && line.isPresent()) {
        String pattern = line.get().path("patterns").path(0).path("name").asText();
        String place = line.get().path("id").asText() + "." + pattern;
        left.set(i, id.substring(0, dot + 1) + place + id.substring(dot));
      }
    }
  }

  private static Optional<String> first(ObjectNode tree, String role) {
    return parts(tree)
        .filter(part -> part.path("role").asText().equals(role))
        .map(part -> part.path("id").asText())
        .findFirst();
  }

  private static java.util.stream.Stream<JsonNode> parts(ObjectNode tree) {
    return StreamSupport.stream(tree.path("parts").spliterator(), false);
  }
}
