package westtide.file;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import westtide.file.disk.Plain;

/**
 * Reads fields of a tree. Whatever is missing or of the wrong kind is an {@link
 * IllegalArgumentException} whose message names it.
 */
final class Fields {
  private Fields() {}

  static JsonNode field(JsonNode node, String name) {
    JsonNode value = node.get(name);
    if (value == null || value.isNull()) {
      throw new IllegalArgumentException("the field \"" + name + "\" is missing");
    }
    return value;
  }

  static String text(JsonNode node, String name) {
    JsonNode value = field(node, name);
    if (!value.isTextual()) {
      throw new IllegalArgumentException("the field \"" + name + "\" is not text");
    }
    return value.asText();
  }

  static int number(JsonNode node, String name) {
    return whole(field(node, name), "the field \"" + name + "\"");
  }

  static int at(JsonNode array, int index) {
    return whole(array.path(index), "a hit or note");
  }

  static int whole(JsonNode value, String what) {
    if (!value.isInt()) {
      throw new IllegalArgumentException(what + " is not a whole number");
    }
    return value.asInt();
  }

  static <T> List<T> list(JsonNode array, Function<JsonNode, T> read) {
    if (!array.isArray()) {
      throw new IllegalArgumentException("a list is missing");
    }
    List<T> out = new ArrayList<>();
    array.forEach(node -> out.add(read.apply(node)));
    return out;
  }

  static <E extends Enum<E>> E named(Class<E> type, JsonNode node, String name) {
    String value = text(node, name);
    try {
      return Enum.valueOf(type, value);
    } catch (IllegalArgumentException e) {
      throw unknown(name, value);
    }
  }

  static IllegalArgumentException unknown(String what, String value) {
    return new IllegalArgumentException(
        "it has an unknown " + what + ", \"" + Plain.of(value) + "\"");
  }
}
