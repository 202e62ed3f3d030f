package westtide.sound.block;

import java.util.Arrays;

/** The last samples that were put in, a block at a time, read from any time ago. */
public final class Ring {
  private final float[] samples;
  private final int mask;
  private int at;

  /** A ring that keeps at least so many samples. */
  public Ring(int length) {
    samples = new float[Integer.highestOneBit(Math.max(1, length - 1)) * 2];
    mask = samples.length - 1;
  }

  /** Forgets what was put in. */
  public void clear() {
    Arrays.fill(samples, 0);
  }

  /** Puts a block in; what is read from now on counts back from its end. */
  public void put(float[] in, int length) {
    int first = Math.min(length, samples.length - at);
    System.arraycopy(in, 0, samples, at, first);
    if (first < length) {
      System.arraycopy(in, first, samples, 0, length - first);
    }
    at = at + length & mask;
  }

  /** Copies samples that begin so many ago. */
  public void copy(int ago, float[] out, int length) {
    int start = at - ago & mask;
    int first = Math.min(length, samples.length - start);
    System.arraycopy(samples, start, out, 0, first);
    if (first < length) {
      System.arraycopy(samples, 0, out, first, length - first);
    }
  }
}
