package westtide.desktop.lines;

import westtide.theory.Key;

/**
 * The rows of a line from low to high: notes of the scale have a full row, notes between a thin
 * one. Maps MIDI notes to heights on a sheet and back.
 */
final class DegreeRows {
  private static final double THIN = 0.45;

  private final int low;
  private final int high;
  private final double[] middles;
  private final double total;
  private final double top;
  private final double bottom;
  private final Key key;

  /**
   * Rows for MIDI notes {@code low} to {@code high} between two heights, {@code top} above {@code
   * bottom}.
   */
  DegreeRows(Key key, int low, int high, double top, double bottom) {
    this.key = key;
    this.low = low;
    this.high = high;
    this.top = top;
    this.bottom = bottom;
    this.middles = new double[high - low + 1];
    double sum = 0;
    for (int midi = low; midi <= high; midi++) {
      middles[midi - low] = sum + weight(midi) / 2;
      sum += weight(midi);
    }
    this.total = sum;
  }

  Key key() {
    return key;
  }

  int low() {
    return low;
  }

  int high() {
    return high;
  }

  /** Whether a note has a row here. */
  boolean shows(int midi) {
    return midi >= low && midi <= high;
  }

  /** The height of the middle of a note's row. */
  double y(int midi) {
    return bottom - middles[midi - low] / total * (bottom - top);
  }

  /** Pixels of a note's row. */
  double thickness(int midi) {
    return weight(midi) / total * (bottom - top);
  }

  /** The note whose row a height lies in, the lowest or highest beyond the ends. */
  int midi(double y) {
    double wanted = (bottom - y) / (bottom - top) * total;
    double sum = 0;
    for (int midi = low; midi < high; midi++) {
      sum += weight(midi);
      if (wanted < sum) {
        return midi;
      }
    }
    return high;
  }

  /** The next note of the scale above (direction 1) or below (−1), within the rows. */
  int scaleNote(int midi, int direction) {
    int next = midi + direction;
    while (next > low && next < high && !key.contains(next % 12)) {
      next += direction;
    }
    return Math.max(low, Math.min(high, next));
  }

  boolean inScale(int midi) {
    return key.contains(midi % 12);
  }

  private double weight(int midi) {
    return inScale(midi) ? 1 : THIN;
  }
}
