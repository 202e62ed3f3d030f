package westtide.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import java.util.stream.StreamSupport;

/**
 * The findings a producer chose to ignore, by the names earlier song files gave them: the first
 * version named no part in a finding of drums or of a line, since there was one of each; later ones
 * told a note by its number, which another note put before it would take over.
 */
final class DismissedFindings {
  private static final List<String> OF_GROOVES =
      List.of("drums.slip.", "drums.choked.", "drums.crowd.", "drums.density.", "drums.full.");

  private static final List<String> OF_NOTES =
      List.of(
          "lines.short.",
          "lines.loud.",
          "lines.overlap.",
          "lines.straggler.",
          "lines.clash.",
          "lowend.downbeat.",
          "lowend.pickup.");

  private DismissedFindings() {}

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

  /** Tells notes by where they start and by their key, where a file tells them by number. */
  static void tellNotesByPlace(ObjectNode tree) {
    if (!(tree.path("leftAlone") instanceof ArrayNode left)) {
      return;
    }
    for (int i = 0; i < left.size(); i++) {
      String id = left.get(i).asText();
      if (OF_NOTES.stream().anyMatch(id::startsWith)) {
        left.set(i, byPlace(tree, id).orElse(id));
      }
    }
  }

  private static Optional<String> byPlace(ObjectNode tree, String id) {
    return parts(tree)
        .flatMap(
            part ->
                StreamSupport.stream(part.path("patterns").spliterator(), false)
                    .flatMap(pattern -> byPlace(part, pattern, id).stream()))
        .findFirst();
  }

  /** The id with start and key of the note it counts; empty where it is not of that pattern. */
  private static Optional<String> byPlace(JsonNode part, JsonNode pattern, String id) {
    String about = "." + part.path("id").asText() + "." + pattern.path("name").asText() + ".";
    int end = id.lastIndexOf('.') + 1;
    String number = id.substring(end);
    if (!id.substring(0, end).endsWith(about) || !number.matches("[0-9]{1,6}")) {
      return Optional.empty();
    }
    JsonNode note = pattern.path("notes").path(Integer.parseInt(number));
    return note.isArray()
        ? Optional.of(id.substring(0, end) + note.path(0).asInt() + "." + note.path(2).asInt())
        : Optional.empty();
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
