package westtide.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A record as an object. Fields stand in the order given here, whatever the order of the
 * components.
 *
 * @param <R> the record
 */
public final class RecordShape<R> implements ObjectShape<R> {
  private final Components<R> components;
  private final Field<Object>[] fields;
  private final int[] places;

  private RecordShape(Components<R> components, Field<Object>[] fields, int[] places) {
    this.components = components;
    this.fields = fields;
    this.places = places;
  }

  /**
   * A shape with a field for every component.
   *
   * @throws IllegalStateException when a component has no field, or a field no component
   */
  @SuppressWarnings("unchecked")
  public static <R> RecordShape<R> of(Class<R> type, Field<?>... fields) {
    Components<R> components = Components.of(type);
    List<String> held = Arrays.stream(fields).map(Field::component).toList();
    if (!held.stream().sorted().toList().equals(components.names().stream().sorted().toList())) {
      throw new IllegalStateException(
          type.getSimpleName() + " has " + components.names() + ", its fields hold " + held);
    }
    return new RecordShape<>(
        components,
        (Field<Object>[]) fields.clone(),
        held.stream().mapToInt(components.names()::indexOf).toArray());
  }

  @Override
  public Set<String> names() {
    return Arrays.stream(fields)
        .flatMap(f -> f.names().stream())
        .collect(Collectors.toUnmodifiableSet());
  }

  @Override
  public void write(R value, ObjectNode to) {
    for (int i = 0; i < places.length; i++) {
      fields[i].write().accept(components.at(places[i], value), to);
    }
  }

  @Override
  public R read(JsonNode node, String called) {
    Object[] values = new Object[places.length];
    for (int i = 0; i < places.length; i++) {
      values[places[i]] = fields[i].read().apply(node);
    }
    return components.made(values);
  }
}
