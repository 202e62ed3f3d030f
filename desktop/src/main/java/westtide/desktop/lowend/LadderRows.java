package westtide.desktop.lowend;

import westtide.desktop.kit.sheet.Axis;
import westtide.desktop.line.Rows;
import westtide.theory.Key;

/**
 * The rungs of the low ladder: every semitone has the same height, and the keys walk the notes of
 * the key.
 *
 * @param key the key
 * @param low the lowest MIDI note
 * @param high the highest
 * @param top pixel above the highest
 * @param bottom pixel below the lowest
 */
record LadderRows(Key key, int low, int high, double top, double bottom) implements Rows {
  Axis axis() {
    return new Axis(low - 1.0, high + 1.0, bottom, top);
  }

  @Override
  public double y(int midi) {
    return axis().at(midi);
  }

  @Override
  public int midi(double y) {
    return Math.max(low, Math.min(high, (int) Math.round(axis().value(y))));
  }

  @Override
  public int next(int midi, int direction) {
    int next = midi + direction;
    while (next > low && next < high && !key.contains(Math.floorMod(next, 12))) {
      next += direction;
    }
    return Math.max(low, Math.min(high, next));
  }
}
