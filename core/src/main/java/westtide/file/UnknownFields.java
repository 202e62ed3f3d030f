package westtide.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;

/**
 * Keeps the fields a newer version wrote. What the file has and this version would not write is
 * taken out as a tree of its own, and laid over the tree of the song when it is saved. Members of
 * lists are matched by their id, name or voice, else by what they say, since lists are put in order
 * when they are read, and by their place where they say something else.
 */
final class UnknownFields {
  private static final String[] NAMES = {"id", "name", "voice"};

  /** How far from its place a member is looked for. */
  private static final int NEAR = 256;

  private UnknownFields() {}

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
        JsonNode member = file.get(i);
        String name = name(member, i);
        if (!name.equals(place(i))) {
          member(known, name)
              .flatMap(own -> in(member(file, name).orElseThrow(), own))
              .ifPresent(found -> out.set(name, found));
          continue;
        }
        int at = meant(file, i, known);
        if (at >= 0) {
          in(member, known.get(at)).ifPresent(found -> out.set(place(at), found));
        }
      }
    }
    return out.isEmpty() ? Optional.empty() : Optional.of(out);
  }

  /** The place of the nameless member that is the same one in the other list; −1 for none. */
  private static int meant(JsonNode file, int place, JsonNode known) {
    JsonNode member = file.get(place);
    if (place < known.size() && agree(member, known.get(place))) {
      return place;
    }
    int found = near(member, known, place);
    boolean taken = place >= known.size() || near(known.get(place), file, place) >= 0;
    return found < 0 && !taken ? place : found;
  }

  /** The first member of a list around a place that agrees with one; −1 for none. */
  private static int near(JsonNode one, JsonNode list, int place) {
    for (int i = Math.max(0, place - NEAR); i < Math.min(list.size(), place + NEAR); i++) {
      if (agree(one, list.get(i))) {
        return i;
      }
    }
    return -1;
  }

  /** Whether nothing both of them say plainly is different. */
  private static boolean agree(JsonNode one, JsonNode other) {
    if (!one.isObject() || !other.isObject()) {
      return one.getNodeType() == other.getNodeType();
    }
    for (var field : one.properties()) {
      JsonNode own = other.get(field.getKey());
      boolean plain = own != null && own.isValueNode() && field.getValue().isValueNode();
      if (plain && !own.asText().equals(field.getValue().asText())) {
        return false;
      }
    }
    return true;
  }

  private static String place(int index) {
    return "place " + index;
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
    return place(index);
  }
}
