package westtide.sound.effect;

import westtide.sound.block.Blocks;
import westtide.sound.block.Line;

/**
 * Width without a price in the middle: a late copy is added to one side and taken from the other,
 * so both sides together are what they were. Lows stay where they are.
 */
public final class Spread {
  private static final double LATE_MILLIS = 11;
  private static final double LOWS_HERTZ = 200;

  /** How loud the copy is at full width against the middle. */
  private static final float FULL = 1.6f;

  private final Line late;
  private final float[] side;
  private final float takes;
  private final float keeps;
  private float lows;

  /** One for so many samples a second. */
  public Spread(int rate, int blockFrames) {
    late = new Line((int) (LATE_MILLIS / 1000 * rate), blockFrames);
    side = new float[blockFrames];
    takes = (float) (1 - Math.exp(-2 * Math.PI * LOWS_HERTZ / rate));
    keeps = 1 - takes;
  }

  /** Widens both sides, 0 to 1. */
  public void widen(float[] left, float[] right, int frames, float width) {
    float reach = FULL * width;
    for (int i = 0; i < frames; i++) {
      side[i] = 0.5f * (left[i] + right[i]);
    }
    late.swap(side, frames);
    float low = lows;
    for (int i = 0; i < frames; i++) {
      low = keeps * low + takes * (side[i] + Blocks.FAINT);
      side[i] -= low;
    }
    lows = low;
    Blocks.add(side, left, reach, frames);
    Blocks.add(side, right, -reach, frames);
  }
}
