package westtide.song.drum;

import westtide.rhythm.Ticks;

/**
 * A lane that goes from its side to another and back as the song runs. A hit sounds where the sweep
 * stands when it starts.
 *
 * @param to where it turns, in steps right (positive) or left of where the kit has the drum, −100
 *     to 100
 * @param steps sixteenths from one side to the other, and as many back, 0 to 512; 0 for no sweep
 */
public record PanSweep(int to, int steps) {
  /** A lane that stays where it is. */
  public static final PanSweep NONE = new PanSweep(0, 0);

  /** Most sixteenths from side to side: 32 bars of four quarters. */
  public static final int MOST_STEPS = 512;

  /** Checks both ranges. */
  public PanSweep {
    if (to < -100 || to > 100) {
      throw new IllegalArgumentException("a pan sweep goes to −100 to 100, but was " + to);
    }
    if (steps < 0 || steps > MOST_STEPS) {
      throw new IllegalArgumentException(
          "a pan sweep takes 0 to " + MOST_STEPS + " steps, but was " + steps);
    }
  }

  /** Whether the lane moves at all. */
  public boolean moves() {
    return steps > 0;
  }

  /** The pan at a tick of the song of a lane that is at {@code from} when the song begins. */
  public int at(int tick, int from) {
    if (steps == 0) {
      return from;
    }
    int way = steps * Ticks.PER_STEP;
    int run = Math.floorMod(tick, 2 * way);
    int gone = run <= way ? run : 2 * way - run;
    return from + (int) Math.round((to - from) * (gone / (double) way));
  }
}
