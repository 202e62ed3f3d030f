package westtide.desktop.kit.sheet;

/**
 * A straight scale between values (ticks, semitones, energy) and pixels, both ways.
 *
 * @param low value at {@code from}
 * @param high value at {@code to}, not equal to {@code low}
 * @param from pixel of the low value
 * @param to pixel of the high value; smaller than {@code from} when the axis points up
 */
public record Axis(double low, double high, double from, double to) {
  /** Checks that the axis has an extent. */
  public Axis {
    if (low == high) {
      throw new IllegalArgumentException("an axis needs two different values, but had " + low);
    }
  }

  /** The pixel of a value. */
  public double at(double value) {
    return from + (value - low) / (high - low) * (to - from);
  }

  /** The value at a pixel. */
  public double value(double pixel) {
    return low + (pixel - from) / (to - from) * (high - low);
  }

  /** Pixels for a distance in values. */
  public double length(double distance) {
    return distance / (high - low) * (to - from);
  }

  /** The whole number nearest to the value at a pixel, held between the ends. */
  public int nearest(double pixel) {
    double held = Math.max(Math.min(low, high), Math.min(Math.max(low, high), value(pixel)));
    return (int) Math.round(held);
  }
}
