package westtide.sound.loudness;

import java.util.ArrayList;
import java.util.List;

/**
 * Measures how energy is shared by frequency, in bands a third of an octave wide from 31.5 Hz to 16
 * kHz (ISO 266), of both sides together. It looks at a window twice a second, which is enough for
 * music and costs little.
 */
public final class ThirdOctaves {
  /** The middle of the lowest band, in Hz. */
  public static final double LOWEST = 31.5;

  /** How many bands there are. */
  public static final int BANDS = 28;

  /** What silence reads as, in dB. */
  public static final double SILENCE = -120;

  private static final int SIZE = 8192;

  private final double[] energies = new double[BANDS];
  private final double[] real = new double[SIZE];
  private final double[] imaginary = new double[SIZE];
  private final double[] window = new double[SIZE];
  private final Fourier fourier = new Fourier(SIZE);
  private final int rate;
  private final int hop;
  private int filled;
  private int windows;
  private boolean silent = true;

  /** A meter at a sample rate. */
  public ThirdOctaves(int rate) {
    this.rate = rate;
    this.hop = rate / 2;
    for (int i = 0; i < SIZE; i++) {
      window[i] = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / SIZE);
    }
  }

  /** The middle of a band in Hz. */
  public static double hertz(int band) {
    return LOWEST * Math.pow(2, band / 3.0);
  }

  /** Takes samples of both sides, from one of them on. */
  public void hear(float[] left, float[] right, int from, int frames) {
    for (int i = from; i < from + frames; i++) {
      if (filled < SIZE) {
        silent &= left[i] == 0 && right[i] == 0;
        real[filled] = 0.5 * (left[i] + right[i]) * window[filled];
        imaginary[filled] = 0.5 * (left[i] - right[i]) * window[filled];
      }
      if (++filled == hop) {
        if (!silent) {
          take();
        }
        windows++;
        filled = 0;
        silent = true;
      }
    }
  }

  /** Middle and side are carried as the two parts of one complex signal. */
  private void take() {
    fourier.transform(real, imaginary);
    double hertzABin = (double) rate / SIZE;
    for (int band = 0; band < BANDS; band++) {
      double middle = hertz(band);
      int low = (int) Math.ceil(middle * Math.pow(2, -1 / 6.0) / hertzABin);
      int high = (int) Math.ceil(middle * Math.pow(2, 1 / 6.0) / hertzABin);
      double sum = 0;
      for (int bin = low; bin < Math.max(low + 1, high); bin++) {
        int mirror = SIZE - bin;
        sum += real[bin] * real[bin] + imaginary[bin] * imaginary[bin];
        sum += real[mirror] * real[mirror] + imaginary[mirror] * imaginary[mirror];
      }
      energies[band] += sum;
    }
  }

  /** The mean level of each band in dB, {@value #SILENCE} where there is nothing. */
  public List<Double> levels() {
    double scale = 8.0 / (3.0 * SIZE * SIZE) / Math.max(1, windows);
    List<Double> out = new ArrayList<>();
    for (double energy : energies) {
      out.add(Math.max(SILENCE, 10 * Math.log10(energy * scale + 1e-12)));
    }
    return out;
  }
}
