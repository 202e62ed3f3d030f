package westtide.file.midi;

/** How slides are written into MIDI, whose notes have one pitch each. */
public enum Slides {
  /**
   * As overlapping notes: the note before is held into the one it slides to for as long as the
   * slide takes, which instruments that glide play as a slide.
   */
  OVERLAP("overlapping notes"),
  /** As pitch bend of one long note, 24 semitones each way, announced by registered parameter 0. */
  BEND("pitch bend");

  private final String title;

  Slides(String title) {
    this.title = title;
  }

  @Override
  public String toString() {
    return title;
  }
}
