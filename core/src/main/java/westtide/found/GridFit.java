package westtide.found;

import java.util.List;

/**
 * Fits a grid of sixteenths to onsets by least squares: one period, and an offset for each
 * sixteenth of the beat, so that swing and a late snare do not bend the tempo. What lies far from
 * its place is left out.
 */
final class GridFit {
  private static final int PLACES = 4;
  private static final int ROUNDS = 6;
  private static final int LEAST = 8;
  private static final double NEAR = 0.022;
  private static final double MOST_CHANGE = 0.004;

  private final double[] seconds;
  private final double[] weights;

  GridFit(List<OnsetCurve.Onset> onsets) {
    seconds = onsets.stream().mapToDouble(OnsetCurve.Onset::seconds).toArray();
    weights = onsets.stream().mapToDouble(onset -> Math.sqrt(onset.strength())).toArray();
  }

  /** The tempo near another that fits best, from a first beat; the other where none is found. */
  double bpm(double near, double beat) {
    double period = 60 / near / PLACES;
    double[] offsets = new double[PLACES];
    double near0 = 2 * NEAR;
    for (int round = 0; round < ROUNDS; round++) {
      Sums sums = new Sums();
      for (int i = 0; i < seconds.length; i++) {
        double from = seconds[i] - beat;
        int place = (int) Math.rint(from / period);
        int within = Math.floorMod(place, PLACES);
        double away = from - place * period - offsets[within];
        if (Math.abs(away) < near0) {
          sums.add(within, place, from, weights[i]);
        }
      }
      if (sums.count < LEAST) {
        return near;
      }
      period = sums.period(period);
      offsets = sums.offsets(period);
      near0 = Math.max(NEAR, near0 * 0.7);
    }
    double found = 60 / (period * PLACES);
    return Math.abs(found / near - 1) < MOST_CHANGE ? found : near;
  }

  /** Sums of a fit in which each place has an offset of its own and all share the period. */
  private static final class Sums {
    private final double[] weight = new double[PLACES];
    private final double[] places = new double[PLACES];
    private final double[] times = new double[PLACES];
    private final double[] both = new double[PLACES];
    private final double[] squares = new double[PLACES];
    private int count;

    void add(int within, double place, double time, double w) {
      weight[within] += w;
      places[within] += w * place;
      times[within] += w * time;
      both[within] += w * place * time;
      squares[within] += w * place * place;
      count++;
    }

    double period(double otherwise) {
      double top = 0;
      double bottom = 0;
      for (int k = 0; k < PLACES; k++) {
        if (weight[k] > 0) {
          top += both[k] - places[k] * times[k] / weight[k];
          bottom += squares[k] - places[k] * places[k] / weight[k];
        }
      }
      return bottom <= 0 ? otherwise : top / bottom;
    }

    double[] offsets(double period) {
      double[] out = new double[PLACES];
      for (int k = 0; k < PLACES; k++) {
        out[k] = weight[k] > 0 ? (times[k] - period * places[k]) / weight[k] : 0;
      }
      return out;
    }
  }
}
