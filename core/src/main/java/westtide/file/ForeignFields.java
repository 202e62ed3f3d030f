package westtide.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;

/**
 * Keeps the fields a newer version wrote. What the file has and this version would not write is
 * taken out as a tree of its own, and laid over the tree of the song when it is saved. Members of
 * lists are matched by their id, name or voice, else by their place.
 */
final class ForeignFields {
  private static final String[] NAMES = {"id", "name", "voice"};

  private ForeignFields() {}

  /** The fields of {@code file} that {@code known} does not have; empty when there is none. */
  static Optional<ObjectNode> in(JsonNode file, JsonNode known) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    if (file.isObject() && known.isObject()) {
      file.properties()
          .forEach(
              field -> {
                JsonNode own = known.get(field.getKey());
                if (own == null) {
                  out.set(field.getKey(), field.getValue());
                } else {
                  in(field.getValue(), own).ifPresent(found -> out.set(field.getKey(), found));
                }
              });
    }
    if (file.isArray() && known.isArray()) {
      for (int i = 0; i < file.size(); i++) {
        String name = name(file.get(i), i);
        member(known, name)
            .flatMap(own -> in(member(file, name).orElseThrow(), own))
            .ifPresent(found -> out.set(name, found));
      }
    }
    return out.isEmpty() ? Optional.empty() : Optional.of(out);
  }

  /** Lays fields taken out by {@link #in} over a tree; fields the tree has stay as they are. */
  static void into(JsonNode target, JsonNode fields) {
    fields
        .properties()
        .forEach(
            field -> {
              if (target instanceof ArrayNode array) {
                member(array, field.getKey()).ifPresent(own -> into(own, field.getValue()));
              } else if (target instanceof ObjectNode object) {
                JsonNode own = object.get(field.getKey());
                if (own == null) {
                  object.set(field.getKey(), field.getValue());
                } else {
                  into(own, field.getValue());
                }
              }
            });
  }

  private static Optional<JsonNode> member(JsonNode array, String name) {
    for (int i = 0; i < array.size(); i++) {
      if (name(array.get(i), i).equals(name)) {
        return Optional.of(array.get(i));
      }
    }
    return Optional.empty();
  }

  private static String name(JsonNode node, int index) {
    for (String field : NAMES) {
      if (node.path(field).isTextual()) {
        return field + " " + node.get(field).asText();
      }
    }
    return "place " + index;
  }
}
