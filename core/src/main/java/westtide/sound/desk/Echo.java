package westtide.sound.desk;

/**
 * A delay whose repeats go from left to right and back, each duller than the one before. A change
 * of its time fades from the old repeats to the new ones within a block.
 */
final class Echo {
  private static final int SIZE = 1 << 18;
  private static final int MASK = SIZE - 1;
  private static final float FEEDBACK = 0.42f;
  private static final double DULL_HERTZ = 4200;
  private static final double THIN_HERTZ = 220;
  private static final float SILENT = 1e-6f;

  private final float[] first = new float[SIZE];
  private final float[] second = new float[SIZE];
  private final float dull;
  private final float thin;
  private int at;
  private int distance;
  private int before;
  private int quietFor = SIZE;
  private float duller;
  private float lows;

  Echo(int rate) {
    dull = (float) (1 - Math.exp(-2 * Math.PI * DULL_HERTZ / rate));
    thin = (float) (1 - Math.exp(-2 * Math.PI * THIN_HERTZ / rate));
  }

  /** Sets the distance of the repeats in samples, at most {@value #SIZE}. */
  void distance(double frames) {
    before = distance == 0 ? limited(frames) : distance;
    distance = limited(frames);
  }

  private static int limited(double frames) {
    return (int) Math.max(1, Math.min(SIZE - 1, Math.round(frames)));
  }

  /** Whether nothing is left to hear. */
  boolean silent() {
    return quietFor >= SIZE;
  }

  /** Takes the sends and adds the repeats. */
  void mix(float[] in, float[] left, float[] right, int frames) {
    float peak = 0;
    for (int i = 0; i < frames; i++) {
      float fade = (i + 1f) / frames;
      float one = tap(first, fade);
      float two = tap(second, fade);
      duller += dull * (two - duller);
      lows += thin * (duller - lows);
      first[at] = in[i] + FEEDBACK * (duller - lows);
      second[at] = 0.8f * one;
      at = (at + 1) & MASK;
      left[i] += one;
      right[i] += two;
      peak = Math.max(peak, Math.max(Math.abs(in[i]), Math.max(Math.abs(one), Math.abs(two))));
    }
    before = distance;
    quietFor = peak > SILENT ? 0 : Math.min(SIZE, quietFor + frames);
  }

  private float tap(float[] line, float fade) {
    float now = line[(at - distance) & MASK];
    if (before == distance) {
      return now;
    }
    return now * fade + line[(at - before) & MASK] * (1 - fade);
  }
}
