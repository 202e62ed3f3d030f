package westtide.found;

import java.util.Arrays;
import westtide.sound.loudness.Fourier;

/**
 * How strong each pitch class is over a stretch of a sound: peaks of the spectrum from 38 to 2 093
 * Hz, folded to twelve, each weighed by its height, and less the higher it is, so that a note
 * counts more than its overtones. How far the peaks lie beside the tempered scale is the tuning:
 * the mode of their deviations in cents.
 */
final class Chroma {
  private static final int SIZE = 4096;
  private static final double LOWEST = 38;
  private static final double HIGHEST = 2093;
  private static final double BASS = 250;
  private static final int OVERTONES = 6;
  private static final double OVERTONE = 0.5;

  private static double ov() {
    return Double.parseDouble(System.getProperty("ov", "1"));
  }

  private static final int CENTS = 100;

  private final Decimated sound;
  private final Fourier fourier = new Fourier(SIZE);
  private final double[] window = Fourier.hann(SIZE);
  private final double[] real = new double[SIZE];
  private final double[] imaginary = new double[SIZE];
  private final double[] hertz = new double[SIZE / 2];
  private final double[] heights = new double[SIZE / 2];
  private final double[] power = new double[SIZE / 2];

  /**
   * A stretch.
   *
   * @param all twelve strengths, C first
   * @param bass the same of what lies below 250 Hz
   */
  record Bins(double[] all, double[] bass) {}

  Chroma(Decimated sound) {
    this.sound = sound;
  }

  /** A peak of a spectrum: its pitch in semitones above C−1, with its fraction, and its height. */
  private interface Peak {
    void take(double midi, double height);
  }

  private void peaks(double from, double to, Peak sink) {
    int hop = SIZE / 2;
    int first = (int) Math.round(from * sound.rate());
    int last = Math.min(sound.samples().length, (int) Math.round(to * sound.rate()));
    for (int at = first; at < last; at += hop) {
      spectrum(at, Math.min(last, at + SIZE));
      double loudest = 0;
      int low = (int) (LOWEST * SIZE / sound.rate());
      int high = (int) (HIGHEST * SIZE / sound.rate());
      for (int bin = low; bin <= high; bin++) {
        loudest = Math.max(loudest, power[bin]);
      }
      int count = 0;
      for (int bin = Math.max(2, low); bin <= high; bin++) {
        if (power[bin] > power[bin - 1]
            && power[bin] >= power[bin + 1]
            && power[bin] > 1e-4 * loudest) {
          hertz[count] = (bin + aside(bin)) * sound.rate() / SIZE;
          heights[count++] = Math.sqrt(power[bin]);
        }
      }
      withoutOvertones(count);
      for (int i = 0; i < count; i++) {
        if (heights[i] > 0) {
          sink.take(69 + 12 * Math.log(hertz[i] / 440) / Math.log(2), heights[i]);
        }
      }
    }
  }

  /** Takes from each peak what may be an overtone of those below it. */
  private void withoutOvertones(int count) {
    for (int i = 0; i < count; i++) {
      for (int j = i + 1; j < count; j++) {
        double times = hertz[j] / hertz[i];
        double whole = Math.rint(times);
        if (whole >= 2 && whole <= OVERTONES && Math.abs(times - whole) < 0.02 * whole) {
          heights[j] = Math.max(0, heights[j] - OVERTONE * heights[i] / whole);
        }
      }
    }
  }

  /** Where a peak lies between its bins: the top of a parabola through three logarithms. */
  private double aside(int bin) {
    double a = Math.log(power[bin - 1] + 1e-30);
    double b = Math.log(power[bin] + 1e-30);
    double c = Math.log(power[bin + 1] + 1e-30);
    double bend = a - 2 * b + c;
    return bend == 0 ? 0 : Math.max(-0.5, Math.min(0.5, 0.5 * (a - c) / bend));
  }

  private void spectrum(int from, int to) {
    float[] samples = sound.samples();
    for (int i = 0; i < SIZE; i++) {
      int at = from + i;
      real[i] = at >= 0 && at < to ? samples[at] * window[i] : 0;
    }
    Arrays.fill(imaginary, 0);
    fourier.transform(real, imaginary);
    for (int bin = 0; bin < power.length; bin++) {
      power[bin] = real[bin] * real[bin] + imaginary[bin] * imaginary[bin];
    }
  }

  /** How many cents a stretch lies above (positive) or below the tempered scale, −50 to 50. */
  double cents(double from, double to) {
    double[] histogram = new double[CENTS];
    peaks(
        from,
        to,
        (midi, height) -> {
          int cents = (int) Math.floor((midi - Math.rint(midi)) * 100 + 50);
          histogram[Math.floorMod(cents, CENTS)] += Math.sqrt(height);
        });
    double best = -1;
    int place = 50;
    for (int i = 0; i < CENTS; i++) {
      double sum = 0;
      for (int k = -8; k <= 8; k++) {
        sum += histogram[Math.floorMod(i + k, CENTS)] * (1 - Math.abs(k) / 9.0);
      }
      if (sum > best) {
        best = sum;
        place = i;
      }
    }
    double real = 0;
    double weight = 1e-12;
    for (int k = -8; k <= 8; k++) {
      double height = histogram[Math.floorMod(place + k, CENTS)];
      real += k * height;
      weight += height;
    }
    return place - 50 + 0.5 + real / weight;
  }

  /** The pitch classes of a stretch that is tuned so many cents high. */
  Bins bins(double from, double to, double cents) {
    double[] all = new double[12];
    double[] bass = new double[12];
    peaks(
        from,
        to,
        (midi, height) -> {
          double tuned = midi - cents / 100;
          double aside = tuned - Math.rint(tuned);
          double near = Math.exp(-aside * aside / 0.045);
          int pitchClass = Math.floorMod((int) Math.rint(tuned), 12);
          double share = height * near * Math.pow(0.75, Math.max(0, (midi - 48) / 12));
          all[pitchClass] += share;
          if (440 * Math.pow(2, (midi - 69) / 12) < BASS) {
            bass[pitchClass] += height * near;
          }
        });
    return new Bins(all, bass);
  }
}
