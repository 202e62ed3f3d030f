package westtide.sound.loudness;

/**
 * The fast Fourier transform in place, of one length, which is a power of two (Cooley and Tukey
 * 1965). Turns are looked up, and neighbours are worked on one after another, so that all of it
 * stays near the processor.
 */
public final class Fourier {
  private final int size;
  private final double[] cosines;
  private final double[] sines;

  /** A transform of that many points, a power of two. */
  public Fourier(int size) {
    this.size = size;
    cosines = new double[size / 2];
    sines = new double[size / 2];
    for (int k = 0; k < size / 2; k++) {
      cosines[k] = Math.cos(-2 * Math.PI * k / size);
      sines[k] = Math.sin(-2 * Math.PI * k / size);
    }
  }

  /** A Hann window of so many points, symmetric, none of them 0. */
  public static double[] hann(int size) {
    double[] out = new double[size];
    for (int i = 0; i < size; i++) {
      out[i] = 0.5 - 0.5 * Math.cos(2 * Math.PI * (i + 0.5) / size);
    }
    return out;
  }

  /** Transforms both arrays in place; their length is that of the transform. */
  public void transform(double[] real, double[] imaginary) {
    reorder(real, imaginary);
    for (int span = 2; span <= size; span <<= 1) {
      for (int from = 0; from < size; from += span) {
        cross(real, imaginary, from, span / 2);
      }
    }
  }

  /** Two halves that lie beside each other become one. */
  private void cross(double[] real, double[] imaginary, int from, int half) {
    int turn = size / 2 / half;
    for (int k = 0; k < half; k++) {
      double cos = cosines[k * turn];
      double sin = sines[k * turn];
      int a = from + k;
      int b = a + half;
      double x = real[b] * cos - imaginary[b] * sin;
      double y = real[b] * sin + imaginary[b] * cos;
      real[b] = real[a] - x;
      imaginary[b] = imaginary[a] - y;
      real[a] += x;
      imaginary[a] += y;
    }
  }

  private static void reorder(double[] real, double[] imaginary) {
    int size = real.length;
    int shift = 1 + Integer.numberOfLeadingZeros(size);
    for (int i = 0; i < size; i++) {
      int other = Integer.reverse(i) >>> shift;
      if (other > i) {
        double kept = real[i];
        real[i] = real[other];
        real[other] = kept;
        kept = imaginary[i];
        imaginary[i] = imaginary[other];
        imaginary[other] = kept;
      }
    }
  }
}
