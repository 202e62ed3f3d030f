package westtide.song.id;

import java.util.regex.Pattern;

/**
 * By what a part is known in its song, such as {@code drums}. It never changes and is never shown;
 * people see the part's name.
 *
 * @param value 1 to 64 letters, digits, hyphens and underscores
 */
public record PartId(String value) implements Comparable<PartId> {
  private static final Pattern ALLOWED = Pattern.compile("[\\p{L}\\p{N}_-]{1,64}");

  /** Checks the signs. */
  public PartId {
    if (!ALLOWED.matcher(value).matches()) {
      throw new IllegalArgumentException(
          "a part's id has 1 to 64 letters, digits, - and _, but was \"" + value + "\"");
    }
  }

  /** Whether a text can be an id. */
  public static boolean fits(String text) {
    return ALLOWED.matcher(text).matches();
  }

  /** The id of those signs. */
  public static PartId of(String value) {
    return new PartId(value);
  }

  /** A number of its own, from which what differs from hit to hit in this part starts. */
  public long seed() {
    return value.hashCode();
  }

  @Override
  public int compareTo(PartId other) {
    return value.compareTo(other.value);
  }

  @Override
  public String toString() {
    return value;
  }
}
