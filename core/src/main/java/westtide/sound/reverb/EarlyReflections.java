package westtide.sound.reverb;

import westtide.sound.block.Blocks;
import westtide.sound.block.Ring;

/**
 * The first walls: single copies of the sound from the left and the right, later and softer one
 * after another, and the sound itself late enough for what follows them.
 */
final class EarlyReflections {
  private static final double[] LEFT = {3.1, 7.9, 11.3, 17.2, 23.9, 31.7, 40.3};
  private static final double[] RIGHT = {4.3, 6.7, 13.1, 19.4, 26.3, 34.9, 43.7};

  private final Ring ring;
  private final float[] taken;
  private final int[] left;
  private final int[] right;
  private final int late;
  private final float level;

  EarlyReflections(int rate, int block, ReverbShape shape) {
    double scale = 0.45 + 0.55 * shape.size();
    late = (int) Math.round(shape.lateMillis() / 1000 * rate);
    left = samples(LEFT, scale, rate);
    right = samples(RIGHT, scale, rate);
    int longest = Math.max(late, Math.max(left[left.length - 1], right[right.length - 1]));
    ring = new Ring(longest + block);
    taken = new float[block];
    level = (float) shape.early();
  }

  private static int[] samples(double[] millis, double scale, int rate) {
    int[] out = new int[millis.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = (int) Math.round(scale * millis[i] / 1000 * rate);
    }
    return out;
  }

  /** Takes a block, adds its reflections to both sides and turns it into the block of before. */
  void reflect(float[] samples, float[] toLeft, float[] toRight, int length) {
    ring.put(samples, length);
    add(left, toLeft, length);
    add(right, toRight, length);
    ring.copy(late + length, samples, length);
  }

  private void add(int[] lates, float[] to, int length) {
    for (int tap = 0; tap < lates.length; tap++) {
      float gain = level * (1 - 0.11f * tap) * (tap % 3 == 1 ? -1 : 1);
      ring.copy(lates[tap] + length, taken, length);
      Blocks.add(taken, to, gain, length);
    }
  }
}
