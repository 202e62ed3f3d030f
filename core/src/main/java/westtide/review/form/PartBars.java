package westtide.review.form;

import java.util.Arrays;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.Role;

/**
 * What a part plays in each bar of the song, before anything of its mix.
 *
 * @param velocity the sum of the velocities that start in the bar
 * @param starts how many notes start in it
 * @param sounding the sum of the shares of the bar that its notes sound for
 * @param low the lowest key that sounds; 127 for none and for drums
 * @param high the highest key that sounds; 0 for none and for drums
 */
record PartBars(double[] velocity, int[] starts, double[] sounding, int[] low, int[] high) {
  /**
   * Counts a part.
   *
   * @param ticks the tick each bar begins at, and the end of the last one
   */
  static PartBars of(ScoredPart part, int[] ticks) {
    int count = ticks.length - 1;
    PartBars out =
        new PartBars(
            new double[count], new int[count], new double[count], new int[count], new int[count]);
    Arrays.fill(out.low, 127);
    boolean pitched = part.part().role() != Role.DRUMS;
    int first = 0;
    for (ScoredNote note : part.notes()) {
      first = bar(ticks, note.start(), first);
      out.add(note, first, pitched, ticks);
    }
    return out;
  }

  /** The bar a note begins in, looked for from that of the note before it. */
  private static int bar(int[] ticks, int start, int before) {
    int bar = ticks[before] > start ? 0 : before;
    while (ticks[bar + 1] <= start) {
      bar++;
    }
    return bar;
  }

  private void add(ScoredNote note, int first, boolean pitched, int[] ticks) {
    velocity[first] += note.velocity();
    starts[first]++;
    for (int bar = first; bar < starts.length && ticks[bar] < note.end(); bar++) {
      int from = Math.max(note.start(), ticks[bar]);
      int to = Math.min(note.end(), ticks[bar + 1]);
      sounding[bar] += (to - from) / (double) (ticks[bar + 1] - ticks[bar]);
      if (pitched) {
        low[bar] = Math.min(low[bar], note.key());
        high[bar] = Math.max(high[bar], note.key());
      }
    }
  }
}
