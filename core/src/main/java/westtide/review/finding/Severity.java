package westtide.review.finding;

/** How much a finding matters. */
public enum Severity {
  NOTE,
  WARNING
}
