package westtide.text;

import java.util.Arrays;
import java.util.stream.Collectors;

/** A word of a file that names one of a few things. */
public final class OneOf {
  private OneOf() {}

  /**
   * The thing a word names.
   *
   * @throws IllegalArgumentException with the word and what it may be, when it names none
   */
  public static <E extends Enum<E>> E of(Class<E> kind, String word) {
    return Arrays.stream(kind.getEnumConstants())
        .filter(one -> one.name().equals(word))
        .findFirst()
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "\""
                        + word
                        + "\" is not one of "
                        + Arrays.stream(kind.getEnumConstants())
                            .map(Enum::name)
                            .collect(Collectors.joining(", "))));
  }
}
