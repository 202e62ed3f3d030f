package westtide.play;

/** What a song is listened to through. It changes nothing about the song or its files. */
public enum Loudspeaker {
  /** Both sides as they are. */
  FULL("as it is"),
  /** Both sides together, as on one loudspeaker. */
  MONO("mono"),
  /** One small loudspeaker: nothing below 300 Hz or above 9 kHz. */
  SMALL("phone speaker");

  private final String title;

  Loudspeaker(String title) {
    this.title = title;
  }

  @Override
  public String toString() {
    return title;
  }
}
