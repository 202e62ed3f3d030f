package westtide.sound.desk;

/** Arithmetic on blocks of samples. */
final class Blocks {
  private Blocks() {}

  /** Adds a block at a gain. */
  static void add(float[] from, float[] to, float gain, int frames) {
    for (int i = 0; i < frames; i++) {
      to[i] += gain * from[i];
    }
  }

  /** Multiplies a block by one gain a sample. */
  static void scale(float[] samples, float[] gains, int frames) {
    for (int i = 0; i < frames; i++) {
      samples[i] *= gains[i];
    }
  }

  /** The highest sample of a block, up or down. */
  static float peak(float[] samples, int frames) {
    float high = 0;
    float low = 0;
    for (int i = 0; i < frames; i++) {
      high = samples[i] > high ? samples[i] : high;
      low = samples[i] < low ? samples[i] : low;
    }
    return high > -low ? high : -low;
  }
}
