package westtide.sound.block;

/** Two samples for one, the second between its neighbours on a cubic. */
public final class Doubling {
  private static final int PAST = 3;

  private final float[] samples;

  /** For blocks of at most so many samples before they are doubled. */
  public Doubling(int block) {
    samples = new float[PAST + block];
  }

  /** Adds twice as many samples as are given, two of the given later. */
  public void add(float[] from, float[] to, int length) {
    System.arraycopy(from, 0, samples, PAST, length);
    for (int i = 0; i < length; i++) {
      float near = samples[i + 1] + samples[i + 2];
      float far = samples[i] + samples[i + 3];
      to[2 * i] += samples[i + 1];
      to[2 * i + 1] += (9 * near - far) / 16;
    }
    System.arraycopy(samples, length, samples, 0, PAST);
  }
}
