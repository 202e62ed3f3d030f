package westtide.found;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Finds the first downbeat, the tempo and the bars of a loop: tempi that fit the onsets, each with
 * the beats that may be its first, weighed by how much begins there, by what is low in it, by how
 * the whole bars that follow end with the sound, and by how often loops are so long (2, 4 and 8
 * bars most; common practice).
 */
final class LoopFinder {
  private static final double LENGTH_SHARE = 0.0003;
  private static final double LENGTH_SECONDS = 0.016;

  /** How exactly an onset is found. */
  private static final double ONSET_SECONDS = 0.005;

  private final List<OnsetCurve.Onset> onsets;
  private final double begins;
  private final double ends;

  LoopFinder(List<OnsetCurve.Onset> onsets, double begins, double ends) {
    this.onsets = onsets;
    this.begins = begins;
    this.ends = ends;
  }

  /** Readings, the best first. */
  List<Loop> loops(List<Pulse.Tempo> tempi) {
    List<Loop> out = new ArrayList<>();
    for (Pulse.Tempo tempo : tempi) {
      for (OnsetCurve.Onset first : firsts(tempo.period())) {
        out.addAll(loops(tempo, first));
      }
    }
    out.sort(Comparator.comparingDouble(Loop::score).reversed());
    return out;
  }

  /**
   * The same reading from the first onset that is its downbeat likeliest: where bars begin low
   * notes begin, and chords change.
   */
  Loop fromItsDownbeat(Loop best, OnsetCurve curve, Chroma chroma, double cents) {
    Loop out = best;
    double most = Double.NEGATIVE_INFINITY;
    for (OnsetCurve.Onset first : firsts(60 / best.bpm())) {
      for (Loop loop : loops(new Pulse.Tempo(best.bpm(), 0), first)) {
        double score = loop.score() + 1.2 * lows(loop, curve) + 1.6 * changes(loop, chroma, cents);
        if (score > most) {
          most = score;
          out = loop.withScore(best.score());
        }
      }
    }
    return rounded(out);
  }

  /** How much of what begins low begins with the bars, against the other beats. */
  private static double lows(Loop loop, OnsetCurve curve) {
    double first = 0;
    double all = 1e-9;
    int beats = 4 * Math.min(16, loop.bars());
    for (int beat = 0; beat < beats; beat++) {
      double here = curve.low(loop.downbeat() + beat * loop.barSeconds() / 4);
      first += beat % 4 == 0 ? here : 0;
      all += here;
    }
    return first / all;
  }

  /** How much pitches change with the bars: 0 not at all, 1 wholly. */
  private static double changes(Loop loop, Chroma chroma, double cents) {
    int bars = Math.min(8, loop.bars());
    double beat = loop.barSeconds() / 4;
    double sum = 0;
    for (int bar = 1; bar < bars; bar++) {
      double at = loop.downbeat() + bar * loop.barSeconds();
      double[] before = chroma.bins(at - 1.1 * beat, at - 0.1 * beat, cents).all();
      double[] after = chroma.bins(at + 0.05 * beat, at + 1.05 * beat, cents).all();
      sum += 1 - likeness(before, after);
    }
    return bars < 2 ? 0 : sum / (bars - 1);
  }

  private static double likeness(double[] a, double[] b) {
    double both = 0;
    double one = 1e-12;
    double other = 1e-12;
    for (int i = 0; i < a.length; i++) {
      both += a[i] * b[i];
      one += a[i] * a[i];
      other += b[i] * b[i];
    }
    return both / Math.sqrt(one * other);
  }

  /** Onsets within the first four beats, one of which is the first downbeat. */
  private List<OnsetCurve.Onset> firsts(double period) {
    return onsets.stream()
        .filter(onset -> onset.seconds() <= begins + 3.6 * period)
        .limit(8)
        .toList();
  }

  private List<Loop> loops(Pulse.Tempo tempo, OnsetCurve.Onset first) {
    double downbeat = first.seconds();
    double bar = 4 * tempo.period();
    double length = (ends - downbeat) / bar;
    List<Loop> out = new ArrayList<>();
    for (int bars : new int[] {(int) Math.floor(length), (int) Math.ceil(length)}) {
      if (bars < 1 || bars > 64) {
        continue;
      }
      double away = (length - bars) * bar;
      double score =
          tempo.score()
              + fit(away, bars)
              + usual(bars)
              + 0.5 * grid(downbeat, tempo.period())
              + 0.35 * first.strength()
              - 0.45 * Math.min(1.5, (downbeat - begins) / tempo.period());
      out.add(new Loop(downbeat, tempo.bpm(), bars, score));
    }
    return out;
  }

  /**
   * How well whole bars end with the sound: it may be cut a little short, or ring a little longer;
   * seconds after the last bar's end, negative before it.
   */
  private static double fit(double away, int bars) {
    double width = away < 0 ? 0.10 : 0.06;
    double exact = Math.exp(-away * away / (2 * width * width));
    double loose = Math.exp(-away * away / (2 * 0.6 * 0.6));
    return 0.75 * exact + 0.45 * loose - (away > 0.25 * bars ? 0.2 : 0);
  }

  private static double usual(int bars) {
    return switch (bars) {
      case 4, 8 -> 0.45;
      case 2 -> 0.4;
      case 16 -> 0.3;
      case 1 -> 0.05;
      case 3, 6, 12 -> 0;
      default -> -0.35;
    };
  }

  /** How well beats from a first one meet the onsets, −1 to 1. */
  private double grid(double downbeat, double period) {
    double sum = 0;
    double weight = 1e-9;
    for (OnsetCurve.Onset onset : onsets) {
      double beats = (onset.seconds() - downbeat) / period;
      sum += onset.strength() * (0.6 * Math.cos(2 * Math.PI * beats) + 0.4 * halves(beats));
      weight += onset.strength();
    }
    return sum / weight;
  }

  private static double halves(double beats) {
    return Math.cos(4 * Math.PI * beats);
  }

  /**
   * The tempo the length of the sound asks for where it ends with whole bars, and the one a grid of
   * sixteenths asks for where it does not; a whole number of BPM where that is as near as can be
   * told.
   */
  private Loop rounded(Loop loop) {
    double byLength = 240 * loop.bars() / (ends - loop.downbeat());
    double fitted = new GridFit(onsets).bpm(loop.bpm(), loop.downbeat());
    double seconds = loop.bars() * loop.barSeconds();
    boolean ends = Math.abs(byLength / fitted - 1) < LENGTH_SHARE + LENGTH_SECONDS / seconds;
    double best = ends ? byLength : fitted;
    double whole = Math.rint(best);
    double near = best * ONSET_SECONDS / seconds;
    return new Loop(
        loop.downbeat(), Math.abs(whole - best) < near ? whole : best, loop.bars(), loop.score());
  }
}
