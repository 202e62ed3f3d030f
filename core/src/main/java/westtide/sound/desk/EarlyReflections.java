package westtide.sound.desk;

/**
 * The first walls: single copies of the sound from the left and the right, later and softer one
 * after another, and the sound itself late enough for what follows them.
 */
final class EarlyReflections {
  private static final double[] LEFT = {3.1, 7.9, 11.3, 17.2, 23.9, 31.7, 40.3};
  private static final double[] RIGHT = {4.3, 6.7, 13.1, 19.4, 26.3, 34.9, 43.7};

  private final float[] ring;
  private final int mask;
  private final float[] taken;
  private final int[] left;
  private final int[] right;
  private final int late;
  private final float level;
  private int at;

  EarlyReflections(int rate, int block, RoomShape shape) {
    double scale = 0.45 + 0.55 * shape.size();
    late = (int) Math.round(shape.lateMillis() / 1000 * rate);
    left = samples(LEFT, scale, rate);
    right = samples(RIGHT, scale, rate);
    int longest = Math.max(late, Math.max(left[left.length - 1], right[right.length - 1]));
    ring = new float[Integer.highestOneBit(longest + 2 * block) * 2];
    mask = ring.length - 1;
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
  void reflect(float[] samples, float[] toLeft, float[] toRight, int offset, int length) {
    int first = Math.min(length, ring.length - at);
    System.arraycopy(samples, 0, ring, at, first);
    System.arraycopy(samples, first, ring, 0, length - first);
    add(left, toLeft, offset, length);
    add(right, toRight, offset, length);
    copy(late, samples, length);
    at = at + length & mask;
  }

  private void add(int[] lates, float[] to, int offset, int length) {
    for (int tap = 0; tap < lates.length; tap++) {
      float gain = level * (1 - 0.11f * tap) * (tap % 3 == 1 ? -1 : 1);
      copy(lates[tap], taken, length);
      for (int i = 0; i < length; i++) {
        to[offset + i] += gain * taken[i];
      }
    }
  }

  private void copy(int samplesAgo, float[] to, int length) {
    int start = at - samplesAgo & mask;
    int first = Math.min(length, ring.length - start);
    System.arraycopy(ring, start, to, 0, first);
    System.arraycopy(ring, 0, to, first, length - first);
  }
}
