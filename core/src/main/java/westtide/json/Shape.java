package westtide.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.BooleanNode;
import com.fasterxml.jackson.databind.node.DoubleNode;
import com.fasterxml.jackson.databind.node.IntNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.LongNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Stream;
import westtide.text.Plain;

/**
 * How one kind of value stands in a JSON document.
 *
 * @param <T> the kind of value
 */
public interface Shape<T> {
  /** Whole numbers. */
  Shape<Integer> NUMBER =
      of(IntNode::valueOf, (node, called) -> checked(node, node.isInt(), called).asInt());

  /** Whole numbers of 64 bits, such as seeds. */
  Shape<Long> LONG =
      of(
          LongNode::valueOf,
          (node, called) -> checked(node, node.canConvertToLong(), called).asLong());

  /** Numbers with a fraction. */
  Shape<Double> DECIMAL =
      of(
          DoubleNode::valueOf,
          (node, called) -> {
            if (!node.isNumber()) {
              throw new IllegalArgumentException("the field \"" + called + "\" is not a number");
            }
            return node.asDouble();
          });

  /** Yes or no. */
  Shape<Boolean> FLAG =
      of(
          BooleanNode::valueOf,
          (node, called) -> {
            if (!node.isBoolean()) {
              throw new IllegalArgumentException(
                  "the field \"" + called + "\" is neither true nor false");
            }
            return node.asBoolean();
          });

  /** Text. */
  Shape<String> TEXT =
      of(
          TextNode::valueOf,
          (node, called) -> {
            if (!node.isTextual()) {
              throw new IllegalArgumentException("the field \"" + called + "\" is not text");
            }
            return node.asText();
          });

  /** The value as it stands in the document. */
  JsonNode write(T value);

  /**
   * The value of a node.
   *
   * @param called the name of the field it was found in, for messages
   * @throws IllegalArgumentException when the node is of another kind or says what cannot be; the
   *     message names the field
   */
  T read(JsonNode node, String called);

  /** A shape of two functions, the second of which is told what the field is called. */
  static <T> Shape<T> of(
      Function<T, ? extends JsonNode> write, BiFunction<JsonNode, String, T> read) {
    return new Shape<>() {
      @Override
      public JsonNode write(T value) {
        return write.apply(value);
      }

      @Override
      public T read(JsonNode node, String called) {
        return read.apply(node, called);
      }
    };
  }

  /** The same place in the document for another kind of value. */
  default <R> Shape<R> as(Function<T, R> made, Function<R, T> taken) {
    return of(value -> write(taken.apply(value)), (node, called) -> made.apply(read(node, called)));
  }

  /** Text that is parsed. */
  static <T> Shape<T> text(Function<String, T> parse) {
    return TEXT.as(parse, Object::toString);
  }

  /** A word that is looked up; one that is not found is told as an unknown {@code what}. */
  static <T> Shape<T> found(
      String what, Function<String, Optional<T>> find, Function<T, String> word) {
    return TEXT.as(text -> find.apply(text).orElseThrow(() -> unknown(what, text)), word);
  }

  /** A constant of an enum, by its name; another word is told as unknown by the field's name. */
  static <E extends Enum<E>> Shape<E> named(Class<E> type) {
    return of(
        value -> TextNode.valueOf(value.name()),
        (node, called) -> constant(type, TEXT.read(node, called), called));
  }

  /** The same, with an unknown word told to be an unknown {@code what}. */
  static <E extends Enum<E>> Shape<E> named(Class<E> type, String what) {
    return of(
        value -> TextNode.valueOf(value.name()),
        (node, called) -> constant(type, TEXT.read(node, called), what));
  }

  private static <E extends Enum<E>> E constant(Class<E> type, String word, String what) {
    try {
      return Enum.valueOf(type, word);
    } catch (IllegalArgumentException e) {
      throw unknown(what, word);
    }
  }

  /** What is said of a word that names nothing. */
  static IllegalArgumentException unknown(String what, String word) {
    return new IllegalArgumentException(
        "it has an unknown " + what + ", \"" + Plain.of(word) + "\"");
  }

  /** Any number of them in their order. */
  static <T> Shape<List<T>> list(Shape<T> each) {
    return of(
        values -> array(values.stream().map(each::write)),
        (node, called) -> {
          List<T> out = new ArrayList<>(node.size());
          for (JsonNode one : members(node, called)) {
            out.add(each.read(one, called));
          }
          return out;
        });
  }

  /** Any number of them, each once, in their order. */
  static <T> Shape<Set<T>> set(Shape<T> each) {
    return of(
        values -> array(values.stream().map(each::write)),
        (node, called) -> {
          Set<T> out = new LinkedHashSet<>();
          for (JsonNode one : members(node, called)) {
            out.add(each.read(one, called));
          }
          return out;
        });
  }

  /** One at least. */
  static <T> Shape<List<T>> some(Shape<T> each) {
    Shape<List<T>> any = list(each);
    return of(
        any::write,
        (node, called) -> {
          List<T> out = any.read(node, called);
          if (out.isEmpty()) {
            throw new IllegalArgumentException("its list of " + called + " is empty");
          }
          return out;
        });
  }

  /** An object whose fields are named by keys, in their order. */
  static <K, V> Shape<Map<K, V>> map(
      Function<String, K> key, Function<K, String> word, Shape<V> each) {
    return of(
        values -> {
          ObjectNode out = JsonNodeFactory.instance.objectNode();
          values.forEach((k, value) -> out.set(word.apply(k), each.write(value)));
          return out;
        },
        (node, called) -> {
          Map<K, V> out = new LinkedHashMap<>();
          node.properties()
              .forEach(e -> out.put(key.apply(e.getKey()), each.read(e.getValue(), e.getKey())));
          return out;
        });
  }

  /**
   * The same, with what does not fit told as "in the part "Keys" …", by the first of these fields
   * that names it.
   */
  default Shape<T> placed(String kind, String... names) {
    return of(
        this::write,
        (node, called) -> {
          try {
            return read(node, called);
          } catch (IllegalArgumentException e) {
            String name =
                Stream.of(names)
                    .filter(node::has)
                    .findFirst()
                    .map(n -> node.get(n).asText())
                    .orElse("");
            throw new IllegalArgumentException(
                "in the " + kind + " \"" + name + "\" " + e.getMessage(), e);
          }
        });
  }

  private static JsonNode checked(JsonNode node, boolean whole, String called) {
    if (!whole || !node.isIntegralNumber()) {
      throw new IllegalArgumentException("the field \"" + called + "\" is not a whole number");
    }
    return node;
  }

  private static JsonNode members(JsonNode node, String called) {
    if (!node.isArray()) {
      throw new IllegalArgumentException("the field \"" + called + "\" is not a list");
    }
    return node;
  }

  private static ArrayNode array(Stream<JsonNode> nodes) {
    ArrayNode out = JsonNodeFactory.instance.arrayNode();
    nodes.forEach(out::add);
    return out;
  }
}
