package westtide.song.edit;

/** Which way written notes go when a song moves to another key. */
public enum KeyMove {
  NEAREST("the nearest way"),
  UP("up"),
  DOWN("down");

  private final String title;

  KeyMove(String title) {
    this.title = title;
  }

  /** Semitones from one pitch class to another, −11 to 11. */
  int semitones(int from, int to) {
    int up = Math.floorMod(to - from, 12);
    return switch (this) {
      case NEAREST -> up > 6 ? up - 12 : up;
      case UP -> up;
      case DOWN -> up == 0 ? 0 : up - 12;
    };
  }

  @Override
  public String toString() {
    return title;
  }
}
