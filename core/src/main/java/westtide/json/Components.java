package westtide.json;

import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.lang.reflect.Constructor;
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
  private final List<MethodHandle> accessors;
  private final MethodHandle constructor;

  private Components(List<String> names, List<MethodHandle> accessors, MethodHandle constructor) {
    this.names = names;
    this.accessors = accessors;
    this.constructor = constructor;
  }

  /** The components of a record. */
  static <R> Components<R> of(Class<R> type) {
    RecordComponent[] components = type.getRecordComponents();
    MethodHandles.Lookup lookup = MethodHandles.lookup();
    try {
      Class<?>[] types =
          Arrays.stream(components).map(RecordComponent::getType).toArray(Class[]::new);
      Constructor<R> canonical = type.getDeclaredConstructor(types);
      canonical.setAccessible(true);
      MethodHandle made =
          lookup
              .unreflectConstructor(canonical)
              .asSpreader(Object[].class, types.length)
              .asType(MethodType.methodType(Object.class, Object[].class));
      MethodHandle[] taken = new MethodHandle[components.length];
      for (int i = 0; i < components.length; i++) {
        components[i].getAccessor().setAccessible(true);
        taken[i] =
            lookup
                .unreflect(components[i].getAccessor())
                .asType(MethodType.methodType(Object.class, Object.class));
      }
      List<String> names = Arrays.stream(components).map(RecordComponent::getName).toList();
      return new Components<>(names, List.of(taken), made);
    } catch (ReflectiveOperationException e) {
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
      return (Object) accessors.get(place).invokeExact((Object) of);
    } catch (RuntimeException | Error e) {
      throw e;
    } catch (Throwable e) {
      throw new IllegalStateException(e);
    }
  }

  /** A record of these components, in their order; what its constructor throws is thrown. */
  @SuppressWarnings("unchecked")
  R made(Object[] values) {
    try {
      return (R) (Object) constructor.invokeExact(values);
    } catch (RuntimeException | Error e) {
      throw e;
    } catch (Throwable e) {
      throw new IllegalStateException(e);
    }
  }
}
