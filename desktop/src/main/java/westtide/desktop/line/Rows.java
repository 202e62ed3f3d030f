package westtide.desktop.line;

import westtide.theory.Key;

/** The heights of notes on a sheet, one row a MIDI note, and which rows the keys walk. */
public interface Rows {
  /** The key notes are named in. */
  Key key();

  /** The lowest MIDI note that has a row. */
  int low();

  /** The highest MIDI note that has a row. */
  int high();

  /** The pixel of the middle of a note's row. */
  double y(int midi);

  /** The note whose row a pixel lies in, the lowest or highest beyond the ends. */
  int midi(double y);

  /** The next note the arrow keys go to, above (direction 1) or below (−1), within the rows. */
  int next(int midi, int direction);

  /** Whether a note has a row here. */
  default boolean shows(int midi) {
    return midi >= low() && midi <= high();
  }
}
