package westtide.song.mix;

/** Says what was given and what is allowed when a value of the mix lies outside its range. */
public final class Range {
  private Range() {}

  /** Throws {@link IllegalArgumentException} when a value lies outside low to high. */
  public static void check(String what, int value, int low, int high, String unit) {
    if (value < low || value > high) {
      throw new IllegalArgumentException(
          what + " is " + low + " to " + high + " " + unit + ", but was " + value);
    }
  }
}
