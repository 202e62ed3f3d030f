package westtide.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Set;

/**
 * How a value stands in an object, or as fields among others of an object.
 *
 * @param <T> the kind of value
 */
public interface ObjectShape<T> extends Shape<T> {
  /** Puts its fields into an object. */
  void write(T value, ObjectNode to);

  /** What its fields are called. */
  Set<String> names();

  @Override
  default ObjectNode write(T value) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    write(value, out);
    return out;
  }

  /** The value of an object. */
  default T read(JsonNode object) {
    return read(object, "");
  }

  /** A shape that stands under a name, as the one field of an object. */
  static <T> ObjectShape<T> within(String name, Shape<T> shape) {
    Field<T> field = Field.of(name, shape);
    return new ObjectShape<>() {
      @Override
      public void write(T value, ObjectNode to) {
        field.write().accept(value, to);
      }

      @Override
      public Set<String> names() {
        return field.names();
      }

      @Override
      public T read(JsonNode node, String called) {
        return field.read().apply(node);
      }
    };
  }
}
