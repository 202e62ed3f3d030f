package westtide.sound.desk;

/**
 * A place between left and right as factors of both sides: together they carry the same power
 * everywhere, and 1 each in the middle.
 *
 * @param left factor of the left side
 * @param right factor of the right side
 */
public record Pan(double left, double right) {
  /** The factors of a place from −100 left to 100 right. */
  public static Pan of(int place) {
    return new Pan(left(place), right(place));
  }

  /** The factor of the left side at a place from −100 left to 100 right. */
  static float left(double place) {
    return (float) (Math.cos(angle(place)) * Math.sqrt(2));
  }

  /** The factor of the right side at a place. */
  static float right(double place) {
    return (float) (Math.sin(angle(place)) * Math.sqrt(2));
  }

  private static double angle(double place) {
    return (place + 100) / 200.0 * Math.PI / 2;
  }
}
