package westtide.review.finding;

import java.util.Locale;
import westtide.style.Span;

/**
 * A measured figure beside the range expected of it.
 *
 * @param name what is measured, unit included
 * @param shown the figure as text
 * @param value the figure
 * @param scaleLow left end of the scale it is drawn on
 * @param scaleHigh right end of the scale, above the left
 * @param expected the usual range
 */
public record Measure(
    String name, String shown, double value, double scaleLow, double scaleHigh, Span expected) {
  /** A figure beside the range that is usual. */
  public static Measure of(
      String name, String shown, double value, double scaleHigh, double low, double high) {
    return new Measure(name, shown, value, 0, scaleHigh, new Span(low, high, low));
  }

  /** A level in dB, shown with one digit and a true minus. */
  public static Measure level(
      String name, double value, double scaleLow, double scaleHigh, double low, double high) {
    String shown = String.format(Locale.ROOT, "%.1f", value).replace('-', '−');
    return new Measure(name, shown, value, scaleLow, scaleHigh, new Span(low, high, low));
  }

  /** Whether the figure is usual. */
  public boolean usual() {
    return expected.contains(value);
  }

  /** Where a value stands on the scale, 0 to 1. */
  public double share(double of) {
    double share = (of - scaleLow) / (scaleHigh - scaleLow);
    return Math.max(0, Math.min(1, share));
  }
}
