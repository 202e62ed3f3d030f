package westtide.review;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import westtide.rhythm.BarLines;
import westtide.score.Motion;
import westtide.score.Moving;
import westtide.score.Score;
import westtide.score.ScoredNote;
import westtide.score.ScoredPart;
import westtide.song.Role;
import westtide.song.mix.Mix;
import westtide.sound.voice.Instrument;

/**
 * How full each bar is, 0 to 100: how loud it is, who plays, how dense it is, over how many octaves
 * and how wide. The weights are this product's own reading of what makes a section feel full; they
 * and their reasons stand in docs/energy.md, with how well they agree with what is heard.
 *
 * @param bars one figure a bar of the song
 */
public record Energy(List<Double> bars) {
  private static final double LOUD = 0.40;
  private static final double WHO = 0.30;
  private static final double DENSE = 0.15;
  private static final double OCTAVES = 0.10;
  private static final double WIDE = 0.05;

  /** What a bar has in which anything plays at all; the scale begins above it. */
  private static final double FLOOR = 0.18;

  private static final Map<Role, Double> WEIGHTS =
      new EnumMap<>(
          Map.of(
              Role.DRUMS, 34.0,
              Role.SUB, 20.0,
              Role.CHORDS, 18.0,
              Role.LINE, 20.0,
              Role.BASS, 12.0,
              Role.MARKS, 4.0));

  /** Velocity to power, by the preview's law. */
  private static final double POWER = 2 * Instrument.VELOCITY_POWER;

  private static final double FULL_VELOCITY = 100;
  private static final double QUIET_DECIBELS = 24;
  private static final double DENSE_STRIKES = 40;
  private static final double FULL_DRUMS = 8;
  private static final double WIDEST_OCTAVES = 6;

  /** Copies the figures. */
  public Energy {
    bars = List.copyOf(bars);
  }

  /** The energy of every bar of a score. */
  public static Energy of(Score score) {
    int count = score.song().form().bars();
    Bars bars = new Bars(count, score.song().barLines());
    score.parts().forEach(bars::add);
    List<Double> out = new ArrayList<>(count);
    for (int bar = 0; bar < count; bar++) {
      out.add(bars.energy(bar));
    }
    return new Energy(out);
  }

  /** The mean energy of a stretch of bars, counted from 0. */
  public double mean(int fromBar, int bars) {
    return this.bars.subList(fromBar, fromBar + bars).stream()
        .mapToDouble(Double::doubleValue)
        .average()
        .orElse(0);
  }

  /** Sums over the parts, bar by bar. */
  private static final class Bars {
    private final BarLines lines;
    private final double[] power;
    private final double[] who;
    private final double[] strikes;
    private final double[] wide;
    private final int[] low;
    private final int[] high;
    private double fullPower;
    private double everyone;

    Bars(int count, BarLines lines) {
      this.lines = lines;
      power = new double[count];
      who = new double[count];
      strikes = new double[count];
      wide = new double[count];
      low = new int[count];
      high = new int[count];
      java.util.Arrays.fill(low, 127);
    }

    void add(ScoredPart part) {
      Mix mix = part.part().mix();
      double gain = mix.level() == Mix.SILENT ? 0 : Math.pow(10, mix.level() / 100.0);
      double weight = WEIGHTS.get(part.part().role());
      double heard = part.part().role() == Role.SUB ? 0.5 : 1;
      if (!part.plays()) {
        return;
      }
      double[] velocity = new double[power.length];
      int[] starts = new int[power.length];
      double[] sounding = new double[power.length];
      for (ScoredNote note : part.notes()) {
        add(note, part.part().role() == Role.DRUMS, velocity, starts, sounding);
      }
      everyone += weight;
      fullPower += part.part().role() == Role.MARKS ? 0 : gain * heard;
      double width = Math.min(1, (mix.width() + Math.abs(mix.pan())) / 100.0);
      Motion level = part.motion(Moving.LEVEL);
      Motion expression = part.motion(Moving.EXPRESSION);
      double struck = 0;
      for (int bar = 0; bar < power.length; bar++) {
        struck = starts[bar] > 0 ? velocity[bar] / starts[bar] : struck;
        double share = share(part, starts[bar], sounding[bar]);
        if (share > 0) {
          int middle = lines.tick(bar) + lines.length(bar) / 2;
          double decibels = level.at(middle, 0) + expression.at(middle, 0);
          double loud = Math.pow(struck / FULL_VELOCITY, POWER) * Math.pow(10, decibels / 10);
          power[bar] += gain * heard * loud * share;
          who[bar] += weight * share * Math.min(1, 0.35 + 0.65 * Math.sqrt(loud));
          strikes[bar] += starts[bar];
          wide[bar] += weight * width * share;
        }
      }
    }

    private void add(
        ScoredNote note, boolean drums, double[] velocity, int[] starts, double[] sounding) {
      int first = lines.bar(note.start());
      velocity[first] += note.velocity();
      starts[first]++;
      for (int bar = first; bar < power.length && lines.tick(bar) < note.end(); bar++) {
        int from = Math.max(note.start(), lines.tick(bar));
        int to = Math.min(note.end(), lines.tick(bar + 1));
        sounding[bar] += (to - from) / (double) lines.length(bar);
        if (!drums) {
          low[bar] = Math.min(low[bar], note.key());
          high[bar] = Math.max(high[bar], note.key());
        }
      }
    }

    private static double share(ScoredPart part, int starts, double sounding) {
      return part.part().role() == Role.DRUMS
          ? Math.min(1, starts / FULL_DRUMS)
          : sounding == 0 ? 0 : 0.6 + 0.4 * Math.min(1, sounding);
    }

    double energy(int bar) {
      if (power[bar] == 0 || fullPower == 0) {
        return 0;
      }
      double decibels = 10 * Math.log10(power[bar] / fullPower);
      double loud = Math.max(0, Math.min(1, 1 + decibels / QUIET_DECIBELS));
      double octaves = Math.max(0, high[bar] - low[bar]) / 12.0 / WIDEST_OCTAVES;
      double all =
          LOUD * loud
              + WHO * Math.min(1, who[bar] / everyone)
              + DENSE * Math.min(1, strikes[bar] / DENSE_STRIKES)
              + OCTAVES * Math.min(1, octaves)
              + WIDE * Math.min(1, 2 * wide[bar] / everyone);
      return Math.max(1, Math.min(100, 100 * (all - FLOOR) / (1 - FLOOR)));
    }
  }
}
