package westtide.sound;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.form.Form;
import westtide.song.id.PartId;
import westtide.sound.block.Decibels;
import westtide.sound.effect.Limiter;
import westtide.sound.loudness.Loudness;
import westtide.sound.loudness.LowPhase;
import westtide.sound.loudness.ThirdOctaves;
import westtide.sound.voice.Filter;

/**
 * What a rendering of the song measures.
 *
 * @param integrated loudness of the whole in LUFS (ITU-R BS.1770)
 * @param loudestShort loudest 3 s in LUFS
 * @param loudestMomentary loudest 400 ms in LUFS
 * @param peak loudest sample after the limiter, dBFS
 * @param pushed how far the limiter had to turn down at most, dB
 * @param lows share of the energy below {@value #LOWS_HERTZ} Hz, 0 to 1
 * @param overlap share of the kicks' low end during which the 808 is nearly as loud, 0 to 1; empty
 *     without kick or 808
 * @param sections loudness of each section of the form by itself in LUFS
 * @param balance how it is shared out by frequency and by part
 */
public record Listening(
    double integrated,
    double loudestShort,
    double loudestMomentary,
    double peak,
    double pushed,
    double lows,
    Optional<Double> overlap,
    List<Double> sections,
    Balance balance) {
  /** Below this frequency sound counts as lows. */
  public static final int LOWS_HERTZ = 120;

  private static final int RATE = 48_000;

  /** What was measured of the whole alone. */
  public Listening(
      double integrated,
      double loudestShort,
      double loudestMomentary,
      double peak,
      double pushed,
      double lows,
      Optional<Double> overlap,
      List<Double> sections) {
    this(
        integrated,
        loudestShort,
        loudestMomentary,
        peak,
        pushed,
        lows,
        overlap,
        sections,
        Balance.NONE);
  }

  /** Copies the sections. */
  public Listening {
    sections = List.copyOf(sections);
  }

  /** Renders a score and measures it; empty when it was cancelled. */
  public static Optional<Listening> of(Score score, Mixdown.Watch watch) {
    Ear ear = new Ear(score);
    Limiter limiter = new Limiter(RATE, Mixdown.CEILING_DB);
    Mixdown mixdown = Mixdown.of(score, RATE);
    try {
      boolean whole = mixdown.mastered(limiter, ear::hearPart, ear::hearMix, watch);
      return whole ? Optional.of(ear.listening(limiter.taken())) : Optional.empty();
    } catch (IOException e) {
      throw new IllegalStateException("nothing is written while listening", e);
    }
  }

  /** Collects what is heard. */
  private static final class Ear {
    private final Loudness loudness = new Loudness(RATE);
    private final List<Loudness> sections = new ArrayList<>();
    private final long[] ends;
    private long heard;
    private final Set<PartId> drums;
    private final Set<PartId> sub;
    private final Set<PartId> lows;
    private final LowEnd mixLows = new LowEnd(RATE);
    private final LowEnd kickLows = new LowEnd(RATE);
    private final LowEnd subLows = new LowEnd(RATE);
    private final LowEnd partLows = new LowEnd(RATE);
    private final ThirdOctaves mixBands = new ThirdOctaves(RATE);
    private final Map<PartId, ThirdOctaves> partBands = new LinkedHashMap<>();
    private final LowPhase phase = new LowPhase(RATE, Engine.BLOCK);
    private final float[] drumsBlock = new float[Engine.BLOCK];
    private final float[] subBlock = new float[Engine.BLOCK];
    private final float[] lowsBlock = new float[Engine.BLOCK];
    private float peak;

    Ear(Score score) {
      ends = ends(score);
      for (int i = 0; i < ends.length; i++) {
        sections.add(new Loudness(RATE));
      }
      drums = ids(score, Role.DRUMS);
      sub = ids(score, Role.SUB);
      lows = new HashSet<>(sub);
      lows.addAll(ids(score, Role.BASS));
    }

    private static Set<PartId> ids(Score score, Role role) {
      return score.song().parts(role).stream().map(Part::id).collect(Collectors.toSet());
    }

    void hearPart(PartId part, float[] left, float[] right, int from, int frames) {
      partBands.computeIfAbsent(part, id -> new ThirdOctaves(RATE)).hear(left, right, from, frames);
      if (drums.contains(part)) {
        add(left, right, from, frames, drumsBlock);
      }
      if (sub.contains(part)) {
        add(left, right, from, frames, subBlock);
      }
      if (lows.contains(part)) {
        add(left, right, from, frames, lowsBlock);
      }
    }

    private static void add(float[] left, float[] right, int from, int frames, float[] to) {
      for (int i = 0; i < frames; i++) {
        to[i] += 0.5f * (left[from + i] + right[from + i]);
      }
    }

    /** Parts of a role are heard together, as one low end. */
    private void hearLowEnds(int frames) {
      phase.one(drumsBlock, drumsBlock, 0, frames);
      phase.other(subBlock, subBlock, 0, frames);
      kickLows.hear(drumsBlock, drumsBlock, 0, frames);
      subLows.hear(subBlock, subBlock, 0, frames);
      partLows.hear(lowsBlock, lowsBlock, 0, frames);
      Arrays.fill(drumsBlock, 0);
      Arrays.fill(subBlock, 0);
      Arrays.fill(lowsBlock, 0);
    }

    private Balance balance() {
      Map<PartId, List<Double>> parts = new LinkedHashMap<>();
      partBands.forEach((part, bands) -> parts.put(part, bands.levels()));
      return new Balance(
          mixBands.levels(), parts, phase.correlation(), LowEnd.apart(kickLows, partLows));
    }

    /** The sample after each section. */
    private static long[] ends(Score score) {
      Form form = score.song().form();
      Song song = score.song();
      double tick = song.brief().tempo().millis(1) / 1000 * RATE;
      long[] out = new long[form.sections().size()];
      for (int i = 0; i < out.length; i++) {
        out[i] = Math.round(tick * form.startTick(i + 1, song.brief().meter()));
      }
      return out;
    }

    private void hearSection(float[] left, float[] right, int frames) {
      int section = 0;
      while (section < ends.length && ends[section] <= heard) {
        section++;
      }
      if (section < ends.length) {
        sections.get(section).hear(left, right, frames);
      }
      heard += frames;
    }

    void hearMix(float[] left, float[] right, int frames) {
      hearSection(left, right, frames);
      hearLowEnds(frames);
      mixBands.hear(left, right, 0, frames);
      loudness.hear(left, right, frames);
      mixLows.hear(left, right, 0, frames);
      for (int i = 0; i < frames; i++) {
        peak = Math.max(peak, Math.max(Math.abs(left[i]), Math.abs(right[i])));
      }
    }

    Listening listening(double pushed) {
      return new Listening(
          loudness.integrated(),
          loudness.loudestShort(),
          loudness.loudestMomentary(),
          Decibels.of(peak),
          pushed,
          mixLows.share(),
          LowEnd.overlap(kickLows, subLows),
          sections.stream().map(Loudness::integrated).toList(),
          balance());
    }
  }

  /** The energy of the lows over time, in windows of 10 ms. */
  static final class LowEnd {
    private static final double WINDOW_SECONDS = 0.01;
    private static final double BODY = Decibels.gain(-15) * Decibels.gain(-15);
    private static final double NEARLY = Decibels.gain(-6) * Decibels.gain(-6);

    private final Filter first;
    private final Filter second;
    private final int window;
    private final List<Double> energies = new ArrayList<>();
    private double lowEnergy;
    private double allEnergy;
    private double sum;
    private int filled;

    LowEnd(int rate) {
      first = new Filter(rate).set(LOWS_HERTZ, 0.541);
      second = new Filter(rate).set(LOWS_HERTZ, 1.307);
      window = (int) (WINDOW_SECONDS * rate);
    }

    void hear(float[] left, float[] right, int from, int frames) {
      for (int i = from; i < from + frames; i++) {
        double middle = 0.5 * (left[i] + right[i]);
        double low = second.low(first.low(middle));
        allEnergy += middle * middle;
        sum += low * low;
        if (++filled == window) {
          energies.add(sum);
          lowEnergy += sum;
          sum = 0;
          filled = 0;
        }
      }
    }

    double share() {
      return allEnergy == 0 ? 0 : Math.min(1, lowEnergy / allEnergy);
    }

    private double loudest() {
      return energies.stream().mapToDouble(e -> e).max().orElse(0);
    }

    /** How far the strongest lows of one lie over those of the other, in dB. */
    static OptionalDouble apart(LowEnd kick, LowEnd sub) {
      double loudest = kick.loudest();
      double subLoudest = sub.loudest();
      return loudest == 0 || subLoudest == 0
          ? OptionalDouble.empty()
          : OptionalDouble.of(10 * Math.log10(loudest / subLoudest));
    }

    static Optional<Double> overlap(LowEnd kick, LowEnd sub) {
      double loudest = kick.loudest();
      double subLoudest = sub.loudest();
      if (loudest == 0 || subLoudest == 0) {
        return Optional.empty();
      }
      int body = 0;
      int both = 0;
      for (int i = 0; i < Math.min(kick.energies.size(), sub.energies.size()); i++) {
        double low = kick.energies.get(i);
        if (low >= BODY * loudest) {
          body++;
          both += sub.energies.get(i) >= NEARLY * low ? 1 : 0;
        }
      }
      return Optional.of(body == 0 ? 0 : both / (double) body);
    }
  }
}
