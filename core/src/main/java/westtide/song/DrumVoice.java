package westtide.song;

/** A drum or cymbal with its General MIDI percussion note. */
public enum DrumVoice {
  KICK("Kick", 36),
  SNARE("Snare", 38),
  CLAP("Clap", 39),
  CLOSED_HAT("Closed hat", 42),
  OPEN_HAT("Open hat", 46),
  PERCUSSION("Percussion", 63),
  RIM("Rim", 37),
  SHAKER("Shaker", 70),
  RIDE("Ride", 51),
  CRASH("Crash", 49);

  private final String title;
  private final int note;

  DrumVoice(String title, int note) {
    this.title = title;
    this.note = note;
  }

  /** The General MIDI percussion note, 35 to 81. */
  public int note() {
    return note;
  }

  @Override
  public String toString() {
    return title;
  }
}
