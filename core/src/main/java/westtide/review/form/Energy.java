package westtide.review.form;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.AutomationTarget;
import westtide.score.event.Motion;
import westtide.song.Role;
import westtide.song.mix.Mix;
import westtide.sound.voice.Instrument;

/**
 * How full each bar is, 0 to 100: how loud it is, who plays, how dense it is, over how many octaves
 * and how wide. The weights are this product's own reading of what makes a section feel full; they
 * and their reasons stand in docs/energy.md, with how well they agree with what is heard.
 */
public final class Energy {
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
              Role.FOUND, 20.0,
              Role.BASS, 12.0,
              Role.MARKS, 4.0));

  /** Velocity to power, by the preview's law. */
  private static final double POWER = 2 * Instrument.VELOCITY_POWER;

  private static final double FULL_VELOCITY = 100;
  private static final double QUIET_DECIBELS = 24;
  private static final double DENSE_STRIKES = 40;
  private static final double FULL_DRUMS = 8;
  private static final double WIDEST_OCTAVES = 6;

  private final int[] ticks;
  private final Map<ScoredPart, PartBars> parts;
  private final List<Double> bars;

  private Energy(Score score, int[] ticks, Map<ScoredPart, PartBars> known) {
    this.ticks = ticks;
    this.parts = new IdentityHashMap<>();
    Bars sums = new Bars(ticks);
    for (ScoredPart part : score.parts()) {
      if (part.plays()) {
        PartBars figures =
            Optional.ofNullable(known.get(part)).orElseGet(() -> PartBars.of(part, ticks));
        parts.put(part, figures);
        sums.add(part, figures);
      }
    }
    this.bars = IntStream.range(0, ticks.length - 1).mapToObj(sums::energy).toList();
  }

  /** The energy of every bar of a score. */
  public static Energy of(Score score) {
    return new Energy(score, ticks(score), Map.of());
  }

  /**
   * The same as {@link #of} of a score that came from this one's; what it shares is not counted
   * anew.
   */
  public Energy after(Score edited) {
    int[] now = ticks(edited);
    return new Energy(edited, now, Arrays.equals(now, ticks) ? parts : Map.of());
  }

  /** The tick each bar begins at, and the end of the last one. */
  private static int[] ticks(Score score) {
    return IntStream.rangeClosed(0, score.song().form().bars())
        .map(score.song().barLines()::tick)
        .toArray();
  }

  /** One figure a bar of the song. */
  public List<Double> bars() {
    return bars;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Energy energy && bars.equals(energy.bars);
  }

  @Override
  public int hashCode() {
    return bars.hashCode();
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
    private final int[] ticks;
    private final double[] power;
    private final double[] who;
    private final double[] strikes;
    private final double[] wide;
    private final int[] low;
    private final int[] high;
    private double fullPower;
    private double everyone;

    Bars(int[] ticks) {
      this.ticks = ticks;
      int count = ticks.length - 1;
      power = new double[count];
      who = new double[count];
      strikes = new double[count];
      wide = new double[count];
      low = new int[count];
      high = new int[count];
      Arrays.fill(low, 127);
    }

    void add(ScoredPart part, PartBars figures) {
      Mix mix = part.part().mix();
      double gain = mix.level() == Mix.SILENT ? 0 : Math.pow(10, mix.level() / 100.0);
      double weight = WEIGHTS.get(part.part().role());
      double heard = part.part().role() == Role.SUB ? 0.5 : 1;
      everyone += weight;
      fullPower += part.part().role() == Role.MARKS ? 0 : gain * heard;
      double width = Math.min(1, (mix.width() + Math.abs(mix.pan())) / 100.0);
      Motion level = part.motion(AutomationTarget.LEVEL);
      Motion expression = part.motion(AutomationTarget.EXPRESSION);
      double struck = 0;
      for (int bar = 0; bar < power.length; bar++) {
        int starts = figures.starts()[bar];
        struck = starts > 0 ? figures.velocity()[bar] / starts : struck;
        low[bar] = Math.min(low[bar], figures.low()[bar]);
        high[bar] = Math.max(high[bar], figures.high()[bar]);
        double share = share(part, starts, figures.sounding()[bar]);
        if (share > 0) {
          int middle = (ticks[bar] + ticks[bar + 1]) / 2;
          double decibels = level.at(middle, 0) + expression.at(middle, 0);
          double loud = Math.pow(struck / FULL_VELOCITY, POWER) * Math.pow(10, decibels / 10);
          power[bar] += gain * heard * loud * share;
          who[bar] += weight * share * Math.min(1, 0.35 + 0.65 * Math.sqrt(loud));
          strikes[bar] += starts;
          wide[bar] += weight * width * share;
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
