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

  @Override
  public String toString() {
    return title;
  }
}
