package westtide.song.form;

/** How the chords of a section run where not as usual. */
public enum ChordOption {
  /**
   * The row goes on where the section before left it, so that a row of four bars is heard whole
   * over two sections of two.
   */
  GOES_ON("go on from the section before"),
  /** Low parts play the note of the pedal and no other, whatever their lines say. */
  STRICT_PEDAL("low parts keep to the pedal");

  private final String title;

  ChordOption(String title) {
    this.title = title;
  }

  @Override
  public String toString() {
    return title;
  }
}
