package westtide.rhythm;

/**
 * Puts what was played on the steps of a grid as they sound with swing.
 *
 * @param grid the steps
 * @param swing how they swing
 * @param strength how much of the way to the grid, in percent: 100 lands on it, 0 keeps the playing
 */
public record Quantise(StepGrid grid, Swing swing, int strength) {
  /** Ticks before a step from which a stroke counts as being on it. */
  private static final int NEARLY = 40;

  /**
   * Where a played hit stands.
   *
   * @param step the nearest step
   * @param nudge ticks late (positive) or early of it that are left
   */
  public record Placed(long step, int nudge) {}

  /** Checks the strength. */
  public Quantise {
    if (strength < 0 || strength > 100) {
      throw new IllegalArgumentException("quantise strength is 0 to 100 %, but was " + strength);
    }
  }

  /** The same grid and strength with another swing. */
  public Quantise withSwing(Swing other) {
    return new Quantise(grid, other, strength);
  }

  /** The step nearest to a sounding tick, and what is left of the distance. */
  public Placed place(long sounding) {
    long written = swing.written(sounding);
    return placed(written, Math.floorDiv(written + grid.ticks() / 2, (long) grid.ticks()));
  }

  /**
   * As {@link #place}, of a hit that comes {@code gap} ticks after another on the same drum. Where
   * that is clearly less than a step it is a stroke of a roll and belongs to the step it lies in,
   * unless it is all but on the next.
   */
  public Placed placeAfter(long sounding, long gap) {
    if (gap * 8 > grid.ticks() * 5L) {
      return place(sounding);
    }
    long written = swing.written(sounding);
    long early = Math.min(NEARLY, gap / 2);
    return placed(written, Math.floorDiv(written + early, (long) grid.ticks()));
  }

  private Placed placed(long written, long step) {
    double off = (written - step * grid.ticks()) * (100 - strength) / 100.0;
    return new Placed(step, Hit.heldNudge(Math.round(off)));
  }
}
