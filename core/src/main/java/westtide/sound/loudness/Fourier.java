package westtide.sound.loudness;

/** The fast Fourier transform in place; lengths are powers of two (Cooley and Tukey 1965). */
final class Fourier {
  private Fourier() {}

  static void transform(double[] real, double[] imaginary) {
    int size = real.length;
    reorder(real, imaginary);
    for (int span = 2; span <= size; span <<= 1) {
      int half = span / 2;
      double stepCos = Math.cos(-2 * Math.PI / span);
      double stepSin = Math.sin(-2 * Math.PI / span);
      double cos = 1;
      double sin = 0;
      for (int k = 0; k < half; k++) {
        for (int a = k; a < size; a += span) {
          int b = a + half;
          double x = real[b] * cos - imaginary[b] * sin;
          double y = real[b] * sin + imaginary[b] * cos;
          real[b] = real[a] - x;
          imaginary[b] = imaginary[a] - y;
          real[a] += x;
          imaginary[a] += y;
        }
        double next = cos * stepCos - sin * stepSin;
        sin = cos * stepSin + sin * stepCos;
        cos = next;
      }
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
