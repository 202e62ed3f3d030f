package westtide.json;

import java.lang.reflect.Constructor;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;

/**
 * Takes a record apart and puts it together.
 *
 * @param <R> the record
 */
final class Components<R> {
  private final List<String> names;
  private final Method[] accessors;
  private final Constructor<R> constructor;

  private Components(List<String> names, Method[] accessors, Constructor<R> constructor) {
    this.names = names;
    this.accessors = accessors;
    this.constructor = constructor;
  }

  /** The components of a record. */
  static <R> Components<R> of(Class<R> type) {
    RecordComponent[] components = type.getRecordComponents();
    Class<?>[] types =
        Arrays.stream(components).map(RecordComponent::getType).toArray(Class[]::new);
    Method[] accessors =
        Arrays.stream(components).map(RecordComponent::getAccessor).toArray(Method[]::new);
    try {
      Constructor<R> canonical = type.getDeclaredConstructor(types);
      canonical.setAccessible(true);
      for (Method accessor : accessors) {
        accessor.setAccessible(true);
      }
      List<String> names = Arrays.stream(components).map(RecordComponent::getName).toList();
      return new Components<>(names, accessors, canonical);
    } catch (NoSuchMethodException e) {
      throw new IllegalStateException(type + " cannot be taken apart", e);
    }
  }

  /** Their names in the order of the record. */
  List<String> names() {
    return names;
  }

  /** The value of the component at a place. */
  Object at(int place, R of) {
    try {
      return accessors[place].invoke(of);
    } catch (ReflectiveOperationException e) {
      throw thrown(e);
    }
  }

  /** A record of these components, in their order; what its constructor throws is thrown. */
  R made(Object[] values) {
    try {
      return constructor.newInstance(values);
    } catch (ReflectiveOperationException e) {
      throw thrown(e);
    }
  }

  private static RuntimeException thrown(ReflectiveOperationException e) {
    if (e.getCause() instanceof Error error) {
      throw error;
    }
    return e.getCause() instanceof RuntimeException own ? own : new IllegalStateException(e);
  }
}
