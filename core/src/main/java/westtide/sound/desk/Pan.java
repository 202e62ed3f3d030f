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
    double angle = (place + 100) / 200.0 * Math.PI / 2;
    return new Pan(Math.cos(angle) * Math.sqrt(2), Math.sin(angle) * Math.sqrt(2));
  }
}
