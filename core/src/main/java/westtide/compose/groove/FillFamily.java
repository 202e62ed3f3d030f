package westtide.compose.groove;

/** Kinds of fills, what each does to the end of a bar, and what it is for (common practice). */
public enum FillFamily {
  EXTRA_SNARE("extra snare", "One or two more snares at the end of the bar: a nudge, no break."),
  ROLL("rising roll", "Snares on every step of the last half bar, rising: it pulls forward."),
  TOMS("toms", "Toms from high to low over the last half bar: it announces a crash."),
  KICK_DROP("kick out", "The kick is out for the last beat: its return is felt."),
  HATS_ONLY("hats only", "Everything but hats is out for the last half bar: a breath."),
  STOP("stop", "Everything is out for the last beat: the next bar lands.");

  private final String title;
  private final String words;

  FillFamily(String title, String words) {
    this.title = title;
    this.words = words;
  }

  /** What it does and why, one sentence. */
  public String words() {
    return words;
  }

  @Override
  public String toString() {
    return title;
  }
}
