package westtide.song;

/** What a part is for; it decides how the part is drawn, weighed and exported. */
public enum Role {
  CHORDS("chords"),
  LINE("line"),
  DRUMS("drums"),
  SUB("808"),
  BASS("bass"),
  FOUND("found sound"),
  MARKS("marks");

  private final String title;

  Role(String title) {
    this.title = title;
  }

  /**
   * Whether keys of its parts are pitches; drums and pieces of a sound have other uses for them.
   */
  public boolean pitched() {
    return this != DRUMS && this != FOUND;
  }

  @Override
  public String toString() {
    return title;
  }
}
