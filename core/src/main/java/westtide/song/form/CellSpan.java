package westtide.song.form;

import westtide.rhythm.Meter;

/**
 * A cell with where it ends: what a part does over a stretch of a section.
 *
 * @param cell what the part does
 * @param endBar the bar in which the next begins, or the bars of the section
 * @param endBeat the beat of that bar on which the next begins
 */
public record CellSpan(Cell cell, int endBar, int endBeat) {
  /** A stretch up to the beginning of a bar. */
  public CellSpan(Cell cell, int endBar) {
    this(cell, endBar, 0);
  }

  /** The bar it begins in, counted from the start of the section. */
  public int fromBar() {
    return cell.fromBar();
  }

  /** First tick from the start of the section. */
  public int from(Meter meter) {
    return cell.from(meter);
  }

  /** Tick after it from the start of the section. */
  public int to(Meter meter) {
    int beats = Math.min(endBeat, meter.beats());
    return endBar * meter.ticksPerBar() + beats * meter.ticksPerBeat();
  }

  /** How many bars it touches, at least in part. */
  public int bars() {
    return endBar - cell.fromBar() + (endBeat > 0 ? 1 : 0);
  }
}
