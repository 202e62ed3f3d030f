package westtide.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A sealed type as an object in which the field that is there says which of its kinds it is.
 *
 * @param <T> the sealed type
 */
public final class FieldKinds<T> implements ObjectShape<T> {
  private final List<Kind<T>> kinds;

  private FieldKinds(List<Kind<T>> kinds) {
    this.kinds = kinds;
  }

  /**
   * A kind and its fields, any of which tells it from those after it.
   *
   * @param type the kind
   * @param shape its fields
   * @param <K> the kind
   */
  public record Kind<K>(Class<?> type, ObjectShape<K> shape) {}

  /**
   * All kinds of a type; what has no field of the others is the last.
   *
   * @throws IllegalStateException when a permitted kind is not among them
   */
  @SuppressWarnings("unchecked")
  public static <T> FieldKinds<T> of(Class<T> type, Kind<?>... kinds) {
    List<Kind<T>> all = Arrays.stream(kinds).map(kind -> (Kind<T>) kind).toList();
    Set<Class<?>> known = all.stream().map(Kind::type).collect(Collectors.toSet());
    if (!known.equals(Set.of(Kinds.permitted(type)))) {
      throw new IllegalStateException("not every kind of " + type + " has its fields");
    }
    return new FieldKinds<>(all);
  }

  @Override
  public Set<String> names() {
    return kinds.stream()
        .flatMap(kind -> kind.shape().names().stream())
        .collect(Collectors.toUnmodifiableSet());
  }

  @Override
  public void write(T value, ObjectNode to) {
    kinds.stream()
        .filter(kind -> kind.type() == value.getClass())
        .findFirst()
        .orElseThrow()
        .shape()
        .write(value, to);
  }

  @Override
  public T read(JsonNode node, String called) {
    for (Kind<T> kind : kinds.subList(0, kinds.size() - 1)) {
      if (kind.shape().names().stream().anyMatch(node::has)) {
        return kind.shape().read(node, called);
      }
    }
    return kinds.get(kinds.size() - 1).shape().read(node, called);
  }
}
