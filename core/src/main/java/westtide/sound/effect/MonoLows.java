package westtide.sound.effect;

/**
 * Keeps lows in the middle: what differs between the sides is cut below {@value #HERTZ} Hz, 12 dB
 * an octave. What both sides have in common is left as it is.
 */
public final class MonoLows {
  /** Below this frequency both sides are alike. */
  public static final int HERTZ = 120;

  private final FilterRow cut;
  private final float[] side;

  /** At a sample rate, with room for a block of samples. */
  public MonoLows(int rate, int blockFrames) {
    StereoFilter lows = StereoFilter.cuttingLows(rate);
    lows.set(HERTZ);
    cut = FilterRow.of(lows.sides());
    side = new float[blockFrames];
  }

  /** Works on a block in place. */
  public void run(float[] left, float[] right, int frames) {
    for (int i = 0; i < frames; i++) {
      side[i] = 0.5f * (left[i] - right[i]);
    }
    for (int i = 0; i < frames; i++) {
      float middle = 0.5f * (left[i] + right[i]);
      left[i] = middle;
      right[i] = middle;
    }
    cut.run(side, side, 0, frames, true);
    for (int i = 0; i < frames; i++) {
      left[i] += side[i];
      right[i] -= side[i];
    }
  }
}
