package westtide.rhythm;

/** How long the steps of a lane are. */
public enum StepGrid {
  SIXTEENTHS("sixteenths", 240),
  EIGHTH_TRIPLETS("eighth triplets", 320),
  TRIPLETS("sixteenth triplets", 160),
  THIRTY_SECONDS("thirty-seconds", 120);

  private final String title;
  private final int ticks;

  StepGrid(String title, int ticks) {
    this.title = title;
    this.ticks = ticks;
  }

  /** Ticks of one step. */
  public int ticks() {
    return ticks;
  }

  /** Whether three of its steps stand where two plain ones would. */
  public boolean triplet() {
    return this == EIGHTH_TRIPLETS || this == TRIPLETS;
  }

  @Override
  public String toString() {
    return title;
  }
}
