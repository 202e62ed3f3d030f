package westtide.desktop.kit;

/**
 * A drag on a sheet, from where it was pressed. While it goes on, the value and its unit stand
 * beside the pointer; Escape gives everything back.
 */
public interface Pull {
  /** Goes to a point of the sheet; the value there with its unit, or nothing to say. */
  String to(double x, double y);

  /** The button is let go. */
  default void end() {}

  /** Escape: what the sheet keeps of the drag itself is forgotten; the song is given back. */
  default void giveBack() {}
}
