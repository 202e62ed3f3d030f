package westtide.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * A sealed type as an object with a word that says which of its kinds it is.
 *
 * @param <T> the sealed type
 */
public final class Kinds<T> implements ObjectShape<T> {
  private final String field;
  private final String what;
  private final Map<String, Kind<T>> kinds;

  private Kinds(String field, String what, Map<String, Kind<T>> kinds) {
    this.field = field;
    this.what = what;
    this.kinds = kinds;
  }

  /**
   * A kind under its word.
   *
   * @param word what the document calls it
   * @param type the kind
   * @param shape its other fields
   * @param is whether a value of the kind is under this word, where a kind has several
   * @param <K> the kind
   */
  public record Kind<K>(String word, Class<?> type, ObjectShape<K> shape, Predicate<K> is) {
    /** A kind with one word. */
    public Kind(String word, Class<K> type, ObjectShape<K> shape) {
      this(word, type, shape, value -> true);
    }
  }

  /**
   * All kinds of a type.
   *
   * @param field what the field with the word is called
   * @param what what an unknown word is told to be
   * @throws IllegalStateException when a permitted kind is not among them
   */
  @SuppressWarnings("unchecked")
  public static <T> Kinds<T> of(Class<T> type, String field, String what, Kind<?>... kinds) {
    Map<String, Kind<T>> words = new LinkedHashMap<>();
    for (Kind<?> kind : kinds) {
      words.put(kind.word(), (Kind<T>) kind);
    }
    for (Class<?> permitted : permitted(type)) {
      if (words.values().stream().noneMatch(kind -> kind.type() == permitted)) {
        throw new IllegalStateException(permitted + " has no word in a document");
      }
    }
    return new Kinds<>(field, what, words);
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
    Kind<T> kind = of(value);
    to.put(field, kind.word());
    kind.shape().write(value, to);
  }

  private Kind<T> of(T value) {
    for (Kind<T> kind : kinds.values()) {
      if (kind.type() == value.getClass() && kind.is().test(value)) {
        return kind;
      }
    }
    throw new IllegalStateException(value.getClass() + " has no word in a document");
  }

  @Override
  public T read(JsonNode node, String called) {
    String word = Field.text(field).read().apply(node);
    Kind<T> kind = kinds.get(word);
    if (kind == null) {
      throw Shape.unknown(what, word);
    }
    return kind.shape().read(node, called);
  }
}
