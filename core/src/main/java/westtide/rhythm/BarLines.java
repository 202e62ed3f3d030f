package westtide.rhythm;

import java.util.Arrays;
import java.util.List;

/**
 * Where the bars of a song begin. All are bars of its meter, apart from the last bar of a tag or a
 * gap that was made so many beats long: in 4/4 a tag of 6 beats is a whole bar and a bar of 2. Bars
 * and ticks are counted from 0; after the end, bars go on whole.
 */
public final class BarLines {
  private final Meter meter;
  private final int[] bars;
  private final int[] ticks;

  /**
   * Bars that follow one another.
   *
   * @param bars how many, 1 or more
   * @param lastBeats beats of the last of them; 0, or as many as the meter has, for a whole bar
   */
  public record Stretch(int bars, int lastBeats) {
    /** Checks both. */
    public Stretch {
      if (bars < 1 || lastBeats < 0) {
        throw new IllegalArgumentException(
            "a stretch has 1 bar or more, the last of 0 beats or more, but was "
                + bars
                + " with "
                + lastBeats);
      }
    }

    /** Beats from the first to the last. */
    public int beats(Meter meter) {
      return bars * meter.beats() - (cut(meter) ? meter.beats() - lastBeats : 0);
    }

    /** Whether the last bar is shorter than the others. */
    public boolean cut(Meter meter) {
      return lastBeats > 0 && lastBeats < meter.beats();
    }

    /** Its length in words: {@code "16 bars"}, or {@code "6 beats"} where the last bar is cut. */
    public String words(Meter meter) {
      int count = cut(meter) ? beats(meter) : bars;
      String unit = cut(meter) ? "beat" : "bar";
      return count + " " + unit + (count == 1 ? "" : "s");
    }

    /** The stretch of so many beats, 1 or more: whole bars, and what is left as a last one. */
    public static Stretch ofBeats(int beats, Meter meter) {
      return new Stretch((beats + meter.beats() - 1) / meter.beats(), beats % meter.beats());
    }
  }

  private BarLines(Meter meter, int[] bars, int[] ticks) {
    this.meter = meter;
    this.bars = bars;
    this.ticks = ticks;
  }

  /** The bars of stretches that follow one another. */
  public static BarLines of(Meter meter, List<Stretch> stretches) {
    int[] bars = new int[stretches.size() + 1];
    int[] ticks = new int[stretches.size() + 1];
    for (int i = 0; i < stretches.size(); i++) {
      bars[i + 1] = bars[i] + stretches.get(i).bars();
      ticks[i + 1] = ticks[i] + stretches.get(i).beats(meter) * meter.ticksPerBeat();
    }
    return new BarLines(meter, bars, ticks);
  }

  /** The meter of the whole bars. */
  public Meter meter() {
    return meter;
  }

  /** The tick a bar begins at. */
  public int tick(int bar) {
    int at = last(bars, bar);
    return ticks[at] + (bar - bars[at]) * meter.ticksPerBar();
  }

  /** The bar in which a tick lies. */
  public int bar(int tick) {
    int at = last(ticks, tick);
    return bars[at] + (tick - ticks[at]) / meter.ticksPerBar();
  }

  /** Ticks of a bar. */
  public int length(int bar) {
    return tick(bar + 1) - tick(bar);
  }

  /** Bars before a tick: {@code 2.5} is the middle of the third. */
  public double bars(double tick) {
    int bar = bar((int) tick);
    return bar + (tick - tick(bar)) / length(bar);
  }

  /** The tick after so many bars and a share of the next; the reverse of {@link #bars}. */
  public double ticks(double bars) {
    int bar = (int) bars;
    return tick(bar) + (bars - bar) * length(bar);
  }

  /** A tick as producers say it. */
  public Position position(int tick) {
    int bar = bar(tick);
    return Position.of(tick - tick(bar), meter).inBar(bar + 1);
  }

  private static int last(int[] starts, int value) {
    if (value < 0) {
      throw new IllegalArgumentException("a song starts at bar and tick 0, but was " + value);
    }
    int found = Arrays.binarySearch(starts, value);
    return found >= 0 ? found : -found - 2;
  }
}
