package westtide.review;

/** How much a finding matters. */
public enum Weight {
  NOTE,
  WARNING
}
