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
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
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
      plain(IntNode::valueOf, JsonNode::isInt, JsonNode::asInt, "is not a whole number");

  /** Whole numbers of 64 bits, such as seeds. */
  Shape<Long> LONG =
      plain(
          LongNode::valueOf,
          node -> node.isIntegralNumber() && node.canConvertToLong(),
          JsonNode::asLong,
          "is not a whole number");

  /** Numbers with a fraction. */
  Shape<Double> DECIMAL =
      plain(DoubleNode::valueOf, JsonNode::isNumber, JsonNode::asDouble, "is not a number");

  /** Yes or no. */
  Shape<Boolean> FLAG =
      plain(
          BooleanNode::valueOf,
          JsonNode::isBoolean,
          JsonNode::asBoolean,
          "is neither true nor false");

  /** Text. */
  Shape<String> TEXT =
      plain(TextNode::valueOf, JsonNode::isTextual, JsonNode::asText, "is not text");

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

  private static <T> Shape<T> plain(
      Function<T, ? extends JsonNode> write,
      Predicate<JsonNode> is,
      Function<JsonNode, T> read,
      String otherwise) {
    return of(write, (node, called) -> read.apply(checked(node, is, called, otherwise)));
  }

  private static JsonNode checked(
      JsonNode node, Predicate<JsonNode> is, String called, String otherwise) {
    if (!is.test(node)) {
      throw new IllegalArgumentException("the field \"" + called + "\" " + otherwise);
    }
    return node;
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
    return constant(type, called -> called);
  }

  /** The same, with an unknown word told to be an unknown {@code what}. */
  static <E extends Enum<E>> Shape<E> named(Class<E> type, String what) {
    return constant(type, called -> what);
  }

  private static <E extends Enum<E>> Shape<E> constant(Class<E> type, UnaryOperator<String> what) {
    return of(
        value -> TextNode.valueOf(value.name()),
        (node, called) -> {
          String word = TEXT.read(node, called);
          try {
            return Enum.valueOf(type, word);
          } catch (IllegalArgumentException e) {
            throw unknown(what.apply(called), word);
          }
        });
  }

  /** What is said of a word that names nothing. */
  static IllegalArgumentException unknown(String what, String word) {
    return new IllegalArgumentException(
        "it has an unknown " + what + ", \"" + Plain.of(word) + "\"");
  }

  /** Any number of them in their order. */
  static <T> Shape<List<T>> list(Shape<T> each) {
    return of(
        values -> {
          ArrayNode out = JsonNodeFactory.instance.arrayNode(values.size());
          values.forEach(value -> out.add(each.write(value)));
          return out;
        },
        (node, called) -> {
          List<T> out = new ArrayList<>(node.size());
          for (JsonNode one : checked(node, JsonNode::isArray, called, "is not a list")) {
            out.add(each.read(one, called));
          }
          return out;
        });
  }

  /** Any number of them, each once, in their order. */
  static <T> Shape<Set<T>> set(Shape<T> each) {
    return list(each).as(LinkedHashSet::new, List::copyOf);
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
}
