package westtide.song.drum;

/**
 * When lanes of their own length are all sent back to their beginnings.
 *
 * @param steps every so many sixteenths, 1 to 4096; 0 with the groove, at the end of its bars
 */
public record Restart(int steps) {
  /** At the end of the groove's own bars. */
  public static final Restart WITH_GROOVE = new Restart(0);

  /** Only where a section begins, so that every lane runs on in its own time. */
  public static final Restart NEVER = new Restart(Integer.MAX_VALUE);

  private static final int MOST = 4096;

  /** Checks the range. */
  public Restart {
    if (steps != Integer.MAX_VALUE && (steps < 0 || steps > MOST)) {
      throw new IllegalArgumentException("lanes restart every 1 to 4096 steps, but was " + steps);
    }
  }

  /** Ticks from one restart to the next in a groove of that many ticks. */
  public int ticks(int grooveTicks) {
    if (steps == 0) {
      return grooveTicks;
    }
    return equals(NEVER) ? Integer.MAX_VALUE : westtide.rhythm.Ticks.ofSteps(steps);
  }
}
