package westtide.song;

/**
 * A cell with the bar it ends before: what a part does over a stretch of a section.
 *
 * @param cell what the part does
 * @param endBar the bar after the last, counted from the start of the section
 */
public record CellSpan(Cell cell, int endBar) {
  /** The first bar, counted from the start of the section. */
  public int fromBar() {
    return cell.fromBar();
  }

  /** Length in bars. */
  public int bars() {
    return endBar - cell.fromBar();
  }
}
