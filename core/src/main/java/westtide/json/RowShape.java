package westtide.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.util.Arrays;
import java.util.List;

/**
 * A small record as a row of values in the order of its components, for what there is much of. The
 * last ones are left out where they are the usual ones.
 *
 * @param <R> the record
 */
public final class RowShape<R> implements Shape<R> {
  private final Components<R> components;
  private final List<Shape<Object>> shapes;
  private final List<Object> usual;

  private RowShape(Components<R> components, List<Shape<Object>> shapes, List<Object> usual) {
    this.components = components;
    this.shapes = shapes;
    this.usual = usual;
  }

  /**
   * A row of every component.
   *
   * @throws IllegalStateException when the record has another number of components
   */
  @SuppressWarnings("unchecked")
  public static <R> RowShape<R> of(Class<R> type, Shape<?>... shapes) {
    Components<R> components = Components.of(type);
    if (components.names().size() != shapes.length) {
      throw new IllegalStateException(type + " has " + components.names());
    }
    return new RowShape<>(
        components, Arrays.stream(shapes).map(s -> (Shape<Object>) s).toList(), List.of());
  }

  /** The same row without its last values where they are these. */
  public RowShape<R> or(Object... last) {
    return new RowShape<>(components, shapes, List.of(last));
  }

  @Override
  public JsonNode write(R value) {
    int last = shapes.size();
    int needed = shapes.size() - usual.size();
    while (last > needed && components.at(last - 1, value).equals(usual.get(last - 1 - needed))) {
      last--;
    }
    ArrayNode out = JsonNodeFactory.instance.arrayNode();
    for (int i = 0; i < last; i++) {
      out.add(shapes.get(i).write(components.at(i, value)));
    }
    return out;
  }

  @Override
  public R read(JsonNode node, String called) {
    Object[] values = new Object[shapes.size()];
    int needed = shapes.size() - usual.size();
    for (int i = 0; i < values.length; i++) {
      boolean left = i >= needed && i >= node.size();
      values[i] = left ? usual.get(i - needed) : shapes.get(i).read(node.path(i), called);
    }
    return components.made(values);
  }
}
