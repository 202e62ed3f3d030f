package westtide.style;

/**
 * A range a style keeps to, with the value a draft starts from.
 *
 * @param low lowest usual value
 * @param high highest usual value
 * @param start where a draft begins
 */
public record Span(double low, double high, double start) {
  /** Whether a value lies inside, ends included. */
  public boolean contains(double value) {
    return value >= low && value <= high;
  }
}
