package westtide.found;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Tempi by how well a comb of beats, their halves and quarters meets the onsets: the sum of {@code
 * w·e^(2πi·h·t/p)} over all of them for each period p, which finds a period as exactly as the sound
 * is long. How well the curve of onsets meets itself a beat, two and four beats later, and a weight
 * towards 100 BPM about an octave wide (log-normal as in Ellis 2007, whose middle is 120), decide
 * among them.
 */
final class Pulse {
  private static final double SLOWEST = 70;
  private static final double FASTEST = 140;
  private static final double STEP = 1.0004;
  private static final double USUAL_BPM = 98;
  private static final double OCTAVES = 0.75;
  private static final int KEPT = 12;

  private final List<OnsetCurve.Onset> onsets;
  private final OnsetCurve curve;
  private final double weight;

  /**
   * A tempo.
   *
   * @param bpm beats a minute
   * @param score how well it fits, in no unit
   */
  record Tempo(double bpm, double score) {
    double period() {
      return 60 / bpm;
    }
  }

  Pulse(OnsetCurve curve, List<OnsetCurve.Onset> onsets) {
    this.curve = curve;
    this.onsets = onsets;
    double sum = 0;
    for (OnsetCurve.Onset onset : onsets) {
      sum += onset.strength();
    }
    this.weight = Math.max(1e-9, sum);
  }

  /** The tempi that fit best, the best first. */
  List<Tempo> tempi() {
    List<Tempo> peaks = new ArrayList<>();
    double[] mean = centred();
    double before = 0;
    double now = comb(SLOWEST);
    for (double bpm = SLOWEST; bpm < FASTEST; bpm *= STEP) {
      double next = comb(bpm * STEP);
      if (now > before && now >= next) {
        double exact = climbed(bpm);
        peaks.add(new Tempo(exact, scored(exact, mean)));
      }
      before = now;
      now = next;
    }
    peaks.sort(Comparator.comparingDouble(Tempo::score).reversed());
    List<Tempo> out = new ArrayList<>();
    for (Tempo tempo : peaks) {
      if (out.size() < KEPT && out.stream().noneMatch(near -> same(near, tempo))) {
        out.add(tempo);
      }
    }
    return out;
  }

  private static boolean same(Tempo a, Tempo b) {
    return Math.abs(Math.log(a.bpm() / b.bpm())) < 0.012;
  }

  private double scored(double bpm, double[] mean) {
    double away = Math.log(bpm / USUAL_BPM) / Math.log(2) / OCTAVES;
    return comb(bpm) + 0.9 * meetsItself(mean, 60 / bpm) - 0.25 * away * away;
  }

  private double climbed(double bpm) {
    double low = bpm / STEP;
    double high = bpm * STEP;
    for (int i = 0; i < 24; i++) {
      double a = low + (high - low) * 0.382;
      double b = low + (high - low) * 0.618;
      if (comb(a) > comb(b)) {
        high = b;
      } else {
        low = a;
      }
    }
    return (low + high) / 2;
  }

  /** How well beats, their halves and quarters of a tempo meet the onsets, 0 to about 2. */
  double comb(double bpm) {
    double turn = 2 * Math.PI * bpm / 60;
    return 0.8 * meeting(turn) + 0.7 * meeting(2 * turn) + 0.5 * meeting(4 * turn);
  }

  private double meeting(double turn) {
    double real = 0;
    double imaginary = 0;
    for (OnsetCurve.Onset onset : onsets) {
      real += onset.strength() * Math.cos(turn * onset.seconds());
      imaginary += onset.strength() * Math.sin(turn * onset.seconds());
    }
    return Math.hypot(real, imaginary) / weight;
  }

  private double[] centred() {
    double[] values = curve.curve().clone();
    double sum = 0;
    for (double value : values) {
      sum += value;
    }
    for (int i = 0; i < values.length; i++) {
      values[i] -= sum / values.length;
    }
    return values;
  }

  private double meetsItself(double[] mean, double period) {
    double sum = 0;
    int counted = 0;
    for (int beats : new int[] {1, 2, 4, 8}) {
      int lag = (int) Math.round(beats * period / curve.step());
      if (lag * 3 / 2 < mean.length) {
        sum += meeting(mean, lag);
        counted++;
      }
    }
    return counted == 0 ? 0 : sum / counted;
  }

  private static double meeting(double[] values, int lag) {
    double both = 0;
    double one = 0;
    double other = 0;
    for (int i = lag; i < values.length; i++) {
      both += values[i] * values[i - lag];
      one += values[i] * values[i];
      other += values[i - lag] * values[i - lag];
    }
    return one == 0 || other == 0 ? 0 : both / Math.sqrt(one * other);
  }
}
