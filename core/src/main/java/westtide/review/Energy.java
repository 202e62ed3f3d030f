package westtide.review;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import westtide.score.Score;
import westtide.score.ScoredNote;
import westtide.score.ScoredPart;
import westtide.song.Role;

/**
 * How full each bar is, 0 to 100: every part adds its weight times how loud and how busy it is in
 * the bar. The weights are this product's own reading of what makes a section feel full.
 *
 * @param bars one figure a bar of the song
 */
public record Energy(List<Double> bars) {
  private static final Map<Role, Double> WEIGHTS =
      new EnumMap<>(
          Map.of(
              Role.DRUMS,
              34.0,
              Role.SUB,
              20.0,
              Role.CHORDS,
              18.0,
              Role.LINE,
              20.0,
              Role.BASS,
              12.0));
  private static final double FULL_VELOCITY = 96;
  private static final double BUSY_DRUMS = 14;

  /** Copies the figures. */
  public Energy {
    bars = List.copyOf(bars);
  }

  /** The energy of every bar of a score. */
  public static Energy of(Score score) {
    int ticksPerBar = score.song().brief().meter().ticksPerBar();
    int count = score.song().form().bars();
    double[] sums = new double[count];
    for (ScoredPart part : score.parts()) {
      add(part, sums, ticksPerBar);
    }
    return new Energy(IntStream.range(0, count).mapToObj(bar -> Math.min(100, sums[bar])).toList());
  }

  /** The mean energy of a stretch of bars, counted from 0. */
  public double mean(int fromBar, int bars) {
    return this.bars.subList(fromBar, fromBar + bars).stream()
        .mapToDouble(Double::doubleValue)
        .average()
        .orElse(0);
  }

  private static void add(ScoredPart part, double[] sums, int ticksPerBar) {
    double[] velocity = new double[sums.length];
    int[] starts = new int[sums.length];
    double[] sounding = new double[sums.length];
    for (ScoredNote note : part.notes()) {
      int first = note.start() / ticksPerBar;
      velocity[first] += note.velocity();
      starts[first]++;
      for (int bar = first; bar < sums.length && bar * ticksPerBar < note.end(); bar++) {
        int from = Math.max(note.start(), bar * ticksPerBar);
        int to = Math.min(note.end(), (bar + 1) * ticksPerBar);
        sounding[bar] += (to - from) / (double) ticksPerBar;
      }
    }
    double loud = 0;
    for (int bar = 0; bar < sums.length; bar++) {
      loud = starts[bar] > 0 ? Math.min(1.2, velocity[bar] / starts[bar] / FULL_VELOCITY) : loud;
      sums[bar] += WEIGHTS.get(part.part().role()) * loud * busy(part, starts[bar], sounding[bar]);
    }
  }

  private static double busy(ScoredPart part, int starts, double sounding) {
    if (part.part().role() == Role.DRUMS) {
      return Math.min(1, starts / BUSY_DRUMS);
    }
    return sounding == 0 ? 0 : 0.6 + 0.4 * Math.min(1, sounding);
  }
}
