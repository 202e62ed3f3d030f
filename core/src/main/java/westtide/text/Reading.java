package westtide.text;

/**
 * What became of a typed line: a value, or a problem that points at a column.
 *
 * @param <T> what the line stands for
 */
public sealed interface Reading<T> {
  /**
   * The line was understood.
   *
   * @param value what it stands for
   */
  record Understood<T>(T value) implements Reading<T> {}

  /**
   * The line was not understood.
   *
   * @param column where, counted from 1
   * @param message what stands there and what was expected, one sentence
   */
  record Problem<T>(int column, String message) implements Reading<T> {}

  /** A problem at a column counted from 1. */
  static <T> Reading<T> problem(int column, String message) {
    return new Problem<>(column, message);
  }

  /**
   * The value.
   *
   * @throws IllegalArgumentException with column and message when the line was not understood
   */
  default T orElseThrow() {
    if (this instanceof Problem<T> problem) {
      throw new IllegalArgumentException("column " + problem.column() + ": " + problem.message());
    }
    return ((Understood<T>) this).value();
  }
}
