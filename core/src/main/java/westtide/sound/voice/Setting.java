package westtide.sound.voice;

/**
 * Something about an instrument that can be set.
 *
 * @param name what it is called, such as {@code "decay"}
 * @param unit what it is counted in, such as {@code "ms"}
 * @param low lowest value
 * @param high highest value
 * @param usual value until it is set
 */
public record Setting(String name, String unit, int low, int high, int usual) {
  /** Checks that the usual value lies inside the range. */
  public Setting {
    if (usual < low || usual > high) {
      throw new IllegalArgumentException(
          name + " is usually " + usual + ", outside " + low + " to " + high);
    }
  }

  /** A value held inside the range. */
  public int held(int value) {
    return Math.max(low, Math.min(high, value));
  }
}
