package westtide.found;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import westtide.sound.loudness.Fourier;

/**
 * How much begins at each moment of a sound: the half-wave rectified difference of log magnitudes
 * in bands a semitone wide, each against the loudest of its neighbours two frames before, so that a
 * note that wavers is not a note that begins (Dixon 2006; the wider comparison is Böck and Widmer
 * 2013; both from memory). An onset is a peak over a moving median (Bello et al. 2005).
 */
final class OnsetCurve {
  private static final int WINDOW = 2048;
  private static final int HOP = 256;
  private static final double LOWEST = 60;
  private static final double HIGHEST = 17_000;
  private static final int LOW = 180;
  private static final double COMPRESSION = 300;
  private static final int BEFORE = 3;
  private static final int MEDIAN_REACH = 16;
  private static final int PEAK_REACH = 4;
  private static final double LEAST_SECONDS = 0.04;
  private static final double THRESHOLD = 0.07;
  private static final double OVER_NOISE = 5;
  private static final double PEAKS_A_SECOND = 1.5;

  private final Decimated sound;
  private final double[] curve;
  private final double[] low;

  /**
   * An onset.
   *
   * @param seconds when, from the first sample of the file
   * @param strength how much begins, the strongest being 1
   */
  record Onset(double seconds, double strength) {}

  private OnsetCurve(Decimated sound, double[] curve, double[] low) {
    this.sound = sound;
    this.curve = curve;
    this.low = low;
  }

  static OnsetCurve of(Decimated sound) {
    int frames = Math.max(1, sound.samples().length / HOP + 1);
    double[][] bands = new double[frames][];
    int[] edges = edges(sound.rate());
    Fourier fourier = new Fourier(WINDOW);
    double[] window = Fourier.hann(WINDOW);
    double[] real = new double[WINDOW];
    double[] imaginary = new double[WINDOW];
    double loudest = 1e-9;
    for (int frame = 0; frame < frames; frame++) {
      fill(sound.samples(), frame * HOP - WINDOW / 2, window, real);
      Arrays.fill(imaginary, 0);
      fourier.transform(real, imaginary);
      bands[frame] = bands(real, imaginary, edges);
      for (double value : bands[frame]) {
        loudest = Math.max(loudest, value);
      }
    }
    for (double[] frame : bands) {
      for (int band = 0; band < frame.length; band++) {
        frame[band] = Math.log10(1 + COMPRESSION * frame[band] / loudest);
      }
    }
    return new OnsetCurve(sound, flux(bands, bands[0].length), flux(bands, lows(edges, sound)));
  }

  private static double[] flux(double[][] bands, int highest) {
    double[] out = new double[bands.length];
    for (int frame = 0; frame < bands.length; frame++) {
      double[] before = frame < BEFORE ? null : bands[frame - BEFORE];
      double sum = 0;
      for (int band = 0; band < highest; band++) {
        sum += Math.max(0, bands[frame][band] - loudest(before, band));
      }
      out[frame] = sum;
    }
    return out;
  }

  /** How many bands lie below {@value #LOW} Hz, where kick and bass begin. */
  private static int lows(int[] edges, Decimated sound) {
    int out = 0;
    while (out < edges.length - 1 && edges[out] * sound.rate() / WINDOW < LOW) {
      out++;
    }
    return Math.max(1, out);
  }

  private static double loudest(double[] frame, int band) {
    if (frame == null) {
      return 0;
    }
    double out = frame[band];
    out = band > 0 ? Math.max(out, frame[band - 1]) : out;
    return band + 1 < frame.length ? Math.max(out, frame[band + 1]) : out;
  }

  private static void fill(float[] samples, int from, double[] window, double[] real) {
    for (int i = 0; i < WINDOW; i++) {
      int at = from + i;
      real[i] = at >= 0 && at < samples.length ? samples[at] * window[i] : 0;
    }
  }

  private static int[] edges(double rate) {
    List<Integer> out = new ArrayList<>();
    for (double hertz = LOWEST; hertz < Math.min(HIGHEST, rate * 0.45); hertz *= semitone()) {
      int bin = (int) Math.round(hertz * WINDOW / rate);
      if (out.isEmpty() || bin > out.get(out.size() - 1)) {
        out.add(bin);
      }
    }
    return out.stream().mapToInt(Integer::intValue).toArray();
  }

  private static double semitone() {
    return Math.pow(2, 1 / 12.0);
  }

  private static double[] bands(double[] real, double[] imaginary, int[] edges) {
    double[] out = new double[edges.length - 1];
    for (int band = 0; band < out.length; band++) {
      double sum = 0;
      for (int bin = edges[band]; bin < edges[band + 1]; bin++) {
        sum += real[bin] * real[bin] + imaginary[bin] * imaginary[bin];
      }
      out[band] = Math.sqrt(sum / (edges[band + 1] - edges[band]));
    }
    return out;
  }

  /** Seconds from one value of the curve to the next. */
  double step() {
    return HOP / sound.rate();
  }

  double[] curve() {
    return curve;
  }

  /** How much begins below {@value #LOW} Hz within 40 ms of a moment, in no unit. */
  double low(double seconds) {
    int reach = (int) Math.ceil(0.04 / step());
    int middle = (int) Math.round(seconds / step());
    double out = 0;
    for (int at = Math.max(0, middle - reach);
        at <= Math.min(low.length - 1, middle + reach);
        at++) {
      out = Math.max(out, low[at]);
    }
    return out;
  }

  /** The onsets, in order. */
  List<Onset> onsets() {
    double highest = Arrays.stream(curve).max().orElse(0);
    if (highest <= 0) {
      return List.of();
    }
    double usual = usualPeak(highest);
    double least = Math.max(THRESHOLD * usual, OVER_NOISE * unrest());
    List<Onset> out = new ArrayList<>();
    Rise rise = new Rise(sound);
    for (int frame = 0; frame < curve.length; frame++) {
      if (!isPeak(frame) || curve[frame] - median(frame) < least) {
        continue;
      }
      double at = rise.near(frame * step());
      if (rise.isClick(at)) {
        continue;
      }
      double strength = Math.min(1, (curve[frame] - median(frame)) / usual);
      Onset last = out.isEmpty() ? null : out.get(out.size() - 1);
      if (last == null || at - last.seconds() >= LEAST_SECONDS) {
        out.add(new Onset(at, strength));
      } else if (strength > last.strength()) {
        out.set(out.size() - 1, new Onset(last.seconds(), strength));
      }
    }
    return out;
  }

  /** How far the curve usually strays from its own median, where nothing begins. */
  private double unrest() {
    double[] away = new double[curve.length];
    for (int frame = 0; frame < away.length; frame++) {
      away[frame] = Math.abs(curve[frame] - median(frame));
    }
    Arrays.sort(away);
    return away[away.length / 2];
  }

  /** What strong peaks reach: the one that is passed by three others in two seconds. */
  private double usualPeak(double highest) {
    double[] peaks = new double[curve.length];
    int count = 0;
    for (int frame = 0; frame < curve.length; frame++) {
      if (isPeak(frame) && curve[frame] > 0.02 * highest) {
        peaks[count++] = curve[frame] - median(frame);
      }
    }
    Arrays.sort(peaks, 0, count);
    int passed = (int) Math.max(3, PEAKS_A_SECOND * curve.length * step());
    return count == 0 ? highest : Math.max(0.2 * highest, peaks[Math.max(0, count - 1 - passed)]);
  }

  private boolean isPeak(int frame) {
    for (int k = 1; k <= PEAK_REACH; k++) {
      if (frame - k >= 0 && curve[frame - k] > curve[frame]
          || frame + k < curve.length && curve[frame + k] >= curve[frame]) {
        return false;
      }
    }
    return true;
  }

  private double median(int frame) {
    int from = Math.max(0, frame - MEDIAN_REACH);
    int to = Math.min(curve.length, frame + MEDIAN_REACH + 1);
    double[] near = Arrays.copyOfRange(curve, from, to);
    Arrays.sort(near);
    return near[near.length / 2];
  }
}
