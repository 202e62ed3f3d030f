package westtide.sound.block;

/**
 * Arithmetic on blocks of samples. Loops run over all arrays in step, which lets the processor do
 * many samples at once; what lies elsewhere is copied first.
 */
public final class Blocks {
  /**
   * Added to what feeds back, so that it never fades into numbers too small for the processor to
   * count with at speed; 360 dB below full scale.
   */
  public static final float FAINT = 1e-18f;

  private Blocks() {}

  /** Adds a block at a gain. */
  public static void add(float[] from, float[] to, float gain, int frames) {
    add(from, to, gain, 0, frames);
  }

  /** Adds a stretch of a block at a gain. */
  public static void add(float[] from, float[] to, float gain, int first, int until) {
    for (int i = first; i < until; i++) {
      to[i] += gain * from[i];
    }
  }

  /** Adds a block that begins somewhere else, which is copied into {@code taken} on the way. */
  public static void addFrom(
      float[] from, int at, float[] taken, float[] to, float gain, int frames) {
    System.arraycopy(from, at, taken, 0, frames);
    add(taken, to, gain, frames);
  }

  /** Multiplies a block by one gain a sample. */
  public static void scale(float[] samples, float[] gains, int frames) {
    for (int i = 0; i < frames; i++) {
      samples[i] *= gains[i];
    }
  }

  /** The highest sample of a block, up or down. */
  public static float peak(float[] samples, int frames) {
    float high = 0;
    float low = 0;
    for (int i = 0; i < frames; i++) {
      high = samples[i] > high ? samples[i] : high;
      low = samples[i] < low ? samples[i] : low;
    }
    return high > -low ? high : -low;
  }
}
