package westtide.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A sealed type as an object with a word that says which of its kinds it is.
 *
 * @param <T> the sealed type
 */
public final class Kinds<T> implements ObjectShape<T> {
  private final String field;
  private final String what;
  private final Map<String, ObjectShape<T>> shapes;
  private final Map<Class<?>, String> words;

  private Kinds(
      String field, String what, Map<String, ObjectShape<T>> shapes, Map<Class<?>, String> words) {
    this.field = field;
    this.what = what;
    this.shapes = shapes;
    this.words = words;
  }

  /**
   * A kind under its word.
   *
   * @param word what the document calls it
   * @param type the kind
   * @param shape its other fields
   * @param <K> the kind
   */
  public record Kind<K>(String word, Class<K> type, ObjectShape<K> shape) {}

  /**
   * All kinds of a type.
   *
   * @param field what the field with the word is called
   * @param what what an unknown word is told to be
   * @throws IllegalStateException when a permitted kind is not among them
   */
  @SuppressWarnings("unchecked")
  public static <T> Kinds<T> of(Class<T> type, String field, String what, Kind<?>... kinds) {
    Map<String, ObjectShape<T>> shapes = new LinkedHashMap<>();
    Map<Class<?>, String> words = new LinkedHashMap<>();
    for (Kind<?> kind : kinds) {
      shapes.put(kind.word(), (ObjectShape<T>) kind.shape());
      words.put(kind.type(), kind.word());
    }
    Arrays.stream(permitted(type))
        .filter(kind -> !words.containsKey(kind))
        .forEach(
            kind -> {
              throw new IllegalStateException(kind + " has no word in a document");
            });
    return new Kinds<>(field, what, Map.copyOf(shapes), Map.copyOf(words));
  }

  static Class<?>[] permitted(Class<?> type) {
    return Arrays.stream(type.getPermittedSubclasses())
        .flatMap(kind -> kind.isSealed() ? Arrays.stream(permitted(kind)) : Stream.of(kind))
        .toArray(Class<?>[]::new);
  }

  @Override
  public Set<String> names() {
    return Set.of(field);
  }

  @Override
  public void write(T value, ObjectNode to) {
    String word = words.get(value.getClass());
    to.put(field, word);
    shapes.get(word).write(value, to);
  }

  @Override
  public T read(JsonNode node, String called) {
    String word = Field.text(field).read().apply(node);
    ObjectShape<T> shape = shapes.get(word);
    if (shape == null) {
      throw Shape.unknown(what, word);
    }
    return shape.read(node, called);
  }
}
