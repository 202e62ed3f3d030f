package westtide.song.id;

/**
 * By what a section is known in its form, wherever it is moved and whatever it is called.
 *
 * @param number 1 or more; 0 for a section that is not in a form yet, which gives it the next one
 */
public record SectionId(int number) {
  /** The id of a section that is not in a form yet. */
  public static final SectionId NEW = new SectionId(0);

  /** Checks the number. */
  public SectionId {
    if (number < 0) {
      throw new IllegalArgumentException("a section's number is 0 or more, but was " + number);
    }
  }

  /** The id of that number. */
  public static SectionId of(int number) {
    return new SectionId(number);
  }

  @Override
  public String toString() {
    return String.valueOf(number);
  }
}
