package westtide.rhythm;

/**
 * A place in the song as producers say it: bar, beat and step, each counted from 1.
 *
 * @param bar the bar, 1 or more
 * @param beat the beat in the bar
 * @param step the sixteenth in the beat
 */
public record Position(int bar, int beat, int step) {
  /** The position in which a tick (0 or more) lies. */
  public static Position of(long tick, Meter meter) {
    if (tick < 0) {
      throw new IllegalArgumentException("a song starts at tick 0, but was " + tick);
    }
    int inBar = (int) (tick % meter.ticksPerBar());
    int inBeat = inBar % meter.ticksPerBeat();
    return new Position(
        (int) (tick / meter.ticksPerBar()) + 1,
        inBar / meter.ticksPerBeat() + 1,
        inBeat / Ticks.PER_STEP + 1);
  }

  /** The same beat and step of another bar. */
  public Position inBar(int other) {
    return new Position(other, beat, step);
  }

  /** {@code "12.3.2"} is the second step of the third beat of bar 12. */
  @Override
  public String toString() {
    return bar + "." + beat + "." + step;
  }
}
