package westtide.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import westtide.song.form.Transition;
import westtide.song.id.PartId;

/**
 * Brings the tree of a song file to what this version reads: what an earlier version named
 * otherwise, and what it left pointing to parts and patterns that are no longer there. Whatever it
 * takes away it tells.
 */
final class SongRepair {
  private final ObjectNode tree;
  private final List<String> notices = new ArrayList<>();

  private SongRepair(ObjectNode tree) {
    this.tree = tree;
  }

  /**
   * A mended tree.
   *
   * @param tree what can be read
   * @param notices what was mended, a sentence each; empty when nothing was lost
   */
  record Mended(JsonNode tree, List<String> notices) {}

  /** The mended copy of a tree; the tree itself stays as it is. */
  static Mended of(JsonNode file) {
    if (!file.isObject()) {
      return new Mended(file, List.of());
    }
    SongRepair mending = new SongRepair(file.deepCopy());
    mending.mend();
    return new Mended(mending.tree, List.copyOf(mending.notices));
  }

  private void mend() {
    boolean first = tree.path("version").asInt(1) < 2;
    List<ObjectNode> parts = objects(tree.path("parts"));
    if (first) {
      parts.stream()
          .filter(part -> part.path("role").asText().equals("LEAD"))
          .forEach(part -> part.put("role", "LINE"));
      DismissedFindings.rename(tree);
    }
    DismissedFindings.tellNotesByPlace(tree);
    if (tree.path("version").asInt(1) < EarlierDegrees.SINCE) {
      EarlierDegrees.rename(parts);
    }
    if (tree.path("version").asInt(1) < SongFields.VERSION) {
      tree.put("version", SongFields.VERSION);
    }
    Map<String, String> ids = ids(parts);
    parts.forEach(part -> part.put("id", ids.getOrDefault(part.path("id").asText(), "part")));
    names(parts);
    numberSections();
    objects(tree.path("form")).forEach(section -> mendSection(section, parts, ids));
    forms().forEach(form -> objects(form).forEach(section -> mendSection(section, parts, ids)));
  }

  private static List<ObjectNode> objects(JsonNode array) {
    List<ObjectNode> out = new ArrayList<>();
    array.forEach(
        node -> {
          if (node instanceof ObjectNode object) {
            out.add(object);
          }
        });
    return out;
  }

  /** Ids as they can be, by what they were. */
  private static Map<String, String> ids(List<ObjectNode> parts) {
    Map<String, String> out = new LinkedHashMap<>();
    for (ObjectNode part : parts) {
      String id = part.path("id").asText();
      String fitting = PartId.fits(id) ? id : id.replaceAll("[^\\p{L}\\p{N}_-]", "-");
      String stem = PartId.fits(fitting) ? fitting : "part";
      String free = stem;
      for (int i = 2; !free.equals(id) && out.containsValue(free); i++) {
        free = stem + "-" + i;
      }
      out.put(id, free);
    }
    return out;
  }

  private void names(List<ObjectNode> parts) {
    Set<String> taken = new HashSet<>();
    for (ObjectNode part : parts) {
      String name = part.path("name").asText().strip();
      String stem = name.isEmpty() ? "Part" : name;
      String free = stem;
      for (int i = 2; taken.contains(free); i++) {
        free = stem + " " + i;
      }
      if (part.path("name").isTextual() && !free.equals(part.path("name").asText())) {
        notices.add("A part called \"" + name + "\" is now \"" + free + "\".");
        part.put("name", free);
      }
      taken.add(free);
    }
  }

  /** The forms that wait beside the present one. */
  private List<JsonNode> forms() {
    List<JsonNode> out = new ArrayList<>();
    tree.path("alternatives").path("before").forEach(out::add);
    tree.path("alternatives").path("after").forEach(out::add);
    return out;
  }

  private void numberSections() {
    List<ObjectNode> sections = objects(tree.path("form"));
    int next = 1 + sections.stream().mapToInt(s -> s.path("id").asInt(0)).max().orElse(0);
    for (ObjectNode section : sections) {
      if (!section.has("id")) {
        section.put("id", next++);
      }
    }
  }

  private void mendSection(ObjectNode section, List<ObjectNode> parts, Map<String, String> ids) {
    renameMoves(section);
    for (String field : List.of("cells", "curves")) {
      if (section.path(field) instanceof ObjectNode byPart) {
        section.set(field, known(section, byPart, ids));
      }
    }
    Map<String, Set<String>> patterns = new HashMap<>();
    for (ObjectNode part : parts) {
      Set<String> names = new HashSet<>();
      objects(part.path("patterns")).forEach(p -> names.add(p.path("name").asText()));
      patterns.put(part.path("id").asText(), names);
    }
    section
        .path("cells")
        .properties()
        .forEach(
            cells ->
                objects(cells.getValue())
                    .forEach(cell -> mendCell(section, cell, patterns.get(cells.getKey()))));
  }

  /** Straight movements are curves now, transitions are marks. */
  private static void renameMoves(ObjectNode section) {
    if (section.remove("ramps") instanceof ObjectNode ramps && !section.has("curves")) {
      ramps.properties().forEach(part -> objects(part.getValue()).forEach(SongRepair::curve));
      section.set("curves", ramps);
    }
    if (section.remove("entry") instanceof ArrayNode entry && !section.has("marks")) {
      ArrayNode marks = section.putArray("marks");
      for (JsonNode word : entry) {
        Transition.parse(word.asText())
            .ifPresent(
                what ->
                    marks
                        .addObject()
                        .put("bar", 0)
                        .put("is", what.kind().word())
                        .put("beats", what.beats()));
      }
    }
  }

  private static void curve(ObjectNode ramp) {
    JsonNode from = ramp.remove("from");
    JsonNode to = ramp.remove("to");
    ArrayNode points = ramp.put("from", 0).put("bars", 0).putArray("points");
    points.addArray().add(0).add(from).add("STRAIGHT");
    points.addArray().add(1000).add(to).add("STRAIGHT");
  }

  private ObjectNode known(ObjectNode section, ObjectNode byPart, Map<String, String> ids) {
    ObjectNode out = section.objectNode();
    Set<String> fitting = new HashSet<>(ids.values());
    byPart
        .properties()
        .forEach(
            entry -> {
              String id = ids.getOrDefault(entry.getKey(), entry.getKey());
              if (fitting.contains(id)) {
                out.set(id, entry.getValue());
              } else {
                notices.add(
                    "The "
                        + section.path("section").asText()
                        + " named a part \""
                        + entry.getKey()
                        + "\" that the song does not have; that was taken out.");
              }
            });
    return out;
  }

  private void mendCell(ObjectNode section, ObjectNode cell, Set<String> patterns) {
    JsonNode pattern = cell.path("pattern");
    boolean there = pattern.asText().isEmpty() || patterns.contains(pattern.asText());
    if (pattern instanceof TextNode && !there) {
      notices.add(
          "The "
              + section.path("section").asText()
              + " asked for a pattern \""
              + pattern.asText()
              + "\" that its part does not have; it plays the part's first.");
      cell.put("pattern", "");
    }
  }
}
