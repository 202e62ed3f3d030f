package westtide.desktop.line;

import westtide.theory.Key;

/**
 * The rows of a line from low to high: notes of the scale have a full row, notes between a thin
 * one. Maps MIDI notes to heights on a sheet and back.
 */
public final class DegreeRows implements Rows {
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
  public DegreeRows(Key key, int low, int high, double top, double bottom) {
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

  @Override
  public Key key() {
    return key;
  }

  @Override
  public int low() {
    return low;
  }

  @Override
  public int high() {
    return high;
  }

  /** The height of the middle of a note's row. */
  @Override
  public double y(int midi) {
    return bottom - middles[midi - low] / total * (bottom - top);
  }

  /** Pixels of a note's row. */
  public double thickness(int midi) {
    return weight(midi) / total * (bottom - top);
  }

  /** The note whose row a height lies in, the lowest or highest beyond the ends. */
  @Override
  public int midi(double y) {
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
  @Override
  public int next(int midi, int direction) {
    int next = midi + direction;
    while (next > low && next < high && !key.contains(next % 12)) {
      next += direction;
    }
    return Math.max(low, Math.min(high, next));
  }

  /** Whether a note belongs to the key. */
  public boolean inScale(int midi) {
    return key.contains(midi % 12);
  }

  private double weight(int midi) {
    return inScale(midi) ? 1 : THIN;
  }
}
