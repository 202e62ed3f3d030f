package westtide.sound.voice;

/** What an instrument is used for, as lists of instruments are grouped. */
public enum Family {
  DRUM("drums"),
  LOW("low end"),
  KEYS("keys and plucks"),
  LINE("lines and layers"),
  TRANSITION("transitions");

  private final String title;

  Family(String title) {
    this.title = title;
  }

  @Override
  public String toString() {
    return title;
  }
}
