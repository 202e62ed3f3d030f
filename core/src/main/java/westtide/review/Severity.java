package westtide.review;

/** How much a finding matters. */
public enum Severity {
  NOTE,
  WARNING
}
