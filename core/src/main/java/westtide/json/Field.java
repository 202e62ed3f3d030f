package westtide.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Function;

/**
 * A component of a record in an object: under a name, or as fields of its own.
 *
 * @param component the name of the component
 * @param names what its fields are called in the document
 * @param write puts them into an object
 * @param read takes the value from an object
 * @param <T> the kind of value
 */
public record Field<T>(
    String component,
    Set<String> names,
    BiConsumer<T, ObjectNode> write,
    Function<JsonNode, T> read) {
  /** A field that is always there, called as the component is until {@link #holds} says more. */
  public static <T> Field<T> of(String name, Shape<T> shape) {
    return new Field<>(
        name,
        Set.of(name),
        (value, to) -> to.set(name, shape.write(value)),
        from -> shape.read(there(from, name), name));
  }

  /** A whole number. */
  public static Field<Integer> number(String name) {
    return of(name, Shape.NUMBER);
  }

  /** Text. */
  public static Field<String> text(String name) {
    return of(name, Shape.TEXT);
  }

  /** Yes or no. */
  public static Field<Boolean> flag(String name) {
    return of(name, Shape.FLAG);
  }

  /** The name of a constant. */
  public static <E extends Enum<E>> Field<E> named(String name, Class<E> type) {
    return of(name, Shape.named(type));
  }

  /** A field that is there only where the component has a value. */
  public static <T> Field<Optional<T>> maybe(String name, Shape<T> shape) {
    return of(name, shape).maybe();
  }

  /** The fields of a component directly among those of the record. */
  public static <T> Field<T> spread(String component, ObjectShape<T> shape) {
    return new Field<>(component, shape.names(), shape::write, from -> shape.read(from, component));
  }

  /** A component the document says nothing of. */
  public static <T> Field<T> unwritten(String component, T always) {
    return new Field<>(component, Set.of(), (value, to) -> {}, from -> always);
  }

  /** The same field for a component of another name. */
  public Field<T> holds(String other) {
    return new Field<>(other, names, write, read);
  }

  /** The same field, there only where the component has a value. */
  public Field<Optional<T>> maybe() {
    return new Field<>(
        component,
        names,
        (value, to) -> value.ifPresent(some -> write.accept(some, to)),
        from -> isIn(from) ? Optional.of(read.apply(from)) : Optional.empty());
  }

  /** The same field, left out where the value is the usual one. */
  public Field<T> or(T usual) {
    return new Field<>(
        component,
        names,
        (value, to) -> {
          if (!value.equals(usual)) {
            write.accept(value, to);
          }
        },
        earlier(usual).read);
  }

  /** The same field, which earlier documents lack; there it has this value. */
  public Field<T> earlier(T value) {
    return earlier(from -> value);
  }

  /** The same field, which earlier documents lack; its value there comes from the others. */
  public Field<T> earlier(Function<JsonNode, T> value) {
    return new Field<>(
        component, names, write, from -> isIn(from) ? read.apply(from) : value.apply(from));
  }

  private boolean isIn(JsonNode from) {
    for (String name : names) {
      if (from.hasNonNull(name)) {
        return true;
      }
    }
    return false;
  }

  private static JsonNode there(JsonNode from, String name) {
    JsonNode value = from.get(name);
    if (value == null || value.isNull()) {
      throw new IllegalArgumentException("the field \"" + name + "\" is missing");
    }
    return value;
  }
}
