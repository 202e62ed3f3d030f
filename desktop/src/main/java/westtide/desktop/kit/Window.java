package westtide.desktop.kit;

/**
 * The stretch of a long row of things that is in view: as many as fit at their least size, from an
 * offset on. Where all fit, all are in view.
 *
 * @param count how many things there are
 * @param room pixels there are for them
 * @param least pixels one needs at least
 * @param offset how many stand before the first in view
 */
public record Window(int count, double room, double least, int offset) {
  /** Keeps the offset inside. */
  public Window {
    int most = Math.max(0, count - shown(count, room, least));
    offset = Math.max(0, Math.min(most, offset));
  }

  private static int shown(int count, double room, double least) {
    return Math.max(1, Math.min(count, (int) (room / least)));
  }

  /** How many are in view. */
  public int shown() {
    return shown(count, room, least);
  }

  /** The thing behind the last in view. */
  public int end() {
    return offset + shown();
  }

  /** Whether some are out of view. */
  public boolean scrolls() {
    return shown() < count;
  }

  /** The same moved so that a thing is in view. */
  public Window showing(int index) {
    if (index < offset) {
      return new Window(count, room, least, index);
    }
    return index >= end() ? new Window(count, room, least, index - shown() + 1) : this;
  }

  /** The same moved by things. */
  public Window by(int things) {
    return new Window(count, room, least, offset + things);
  }
}
