package westtide.review.finding;

/** The stages of the work, in the order most people take them. */
public enum Stage {
  BRIEF("Brief"),
  CHORDS("Chords"),
  DRUMS("Drums"),
  LOW_END("Low end"),
  LINES("Lines"),
  FORM("Form"),
  LEVELS("Levels"),
  DELIVER("Deliver");

  private final String title;

  Stage(String title) {
    this.title = title;
  }

  @Override
  public String toString() {
    return title;
  }
}
