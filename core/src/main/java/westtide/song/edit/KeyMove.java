package westtide.song.edit;

/** Which way everything goes when a song moves to another key. */
public enum KeyMove {
  NEAREST("nearest"),
  UP("up"),
  DOWN("down");

  private final String title;

  KeyMove(String title) {
    this.title = title;
  }

  /**
   * Semitones from one pitch class to another, −11 to 11. The nearest way is the one that ends
   * nearest to where the song was written, {@code moved} semitones from where it is now, so that
   * many changes in a row end where one would.
   */
  int semitones(int from, int to, int moved) {
    int up = Math.floorMod(to - from, 12);
    return switch (this) {
      case NEAREST -> Math.abs(moved + up - 12) < Math.abs(moved + up) ? up - 12 : up;
      case UP -> up;
      case DOWN -> up == 0 ? 0 : up - 12;
    };
  }

  @Override
  public String toString() {
    return title;
  }
}
