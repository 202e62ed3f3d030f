package westtide.song.mix;

import westtide.rhythm.Ticks;

/** How far apart the repeats of a delay are, as a note value. */
public enum DelayTime {
  SIXTEENTH("1/16", Ticks.PER_QUARTER / 4),
  EIGHTH("1/8", Ticks.PER_QUARTER / 2),
  DOTTED_EIGHTH("1/8 dotted", Ticks.PER_QUARTER * 3 / 4),
  QUARTER("1/4", Ticks.PER_QUARTER);

  private final String title;
  private final int ticks;

  DelayTime(String title, int ticks) {
    this.title = title;
    this.ticks = ticks;
  }

  /** The distance in ticks. */
  public int ticks() {
    return ticks;
  }

  @Override
  public String toString() {
    return title;
  }
}
