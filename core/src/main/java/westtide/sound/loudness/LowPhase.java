package westtide.sound.loudness;

import java.util.OptionalDouble;
import westtide.sound.voice.Filter;

/**
 * Whether two sounds help or cancel each other below {@value #HERTZ} Hz while both are there: the
 * correlation of their waves, 1 where they push together, −1 where they cancel.
 */
public final class LowPhase {
  /** Above this frequency it does not listen. */
  public static final int HERTZ = 120;

  private static final double FLOOR = 1e-7;

  private final Filter one;
  private final Filter other;
  private final double[] held;
  private double both;
  private double first;
  private double second;
  private long together;

  /** A meter at a sample rate for blocks of at most so many samples. */
  public LowPhase(int rate, int blockFrames) {
    one = new Filter(rate).set(HERTZ, 0.7);
    other = new Filter(rate).set(HERTZ, 0.7);
    held = new double[blockFrames];
  }

  /** Takes a block of the one, before that of the other. */
  public void one(float[] left, float[] right, int from, int frames) {
    for (int i = 0; i < frames; i++) {
      held[i] = one.low(0.5 * (left[from + i] + right[from + i]));
    }
  }

  /** Takes the block of the other. */
  public void other(float[] left, float[] right, int from, int frames) {
    for (int i = 0; i < frames; i++) {
      double low = other.low(0.5 * (left[from + i] + right[from + i]));
      if (low * low > FLOOR && held[i] * held[i] > FLOOR) {
        both += low * held[i];
        first += held[i] * held[i];
        second += low * low;
        together++;
      }
    }
  }

  /** The correlation; empty where the two hardly ever sound at once. */
  public OptionalDouble correlation() {
    return together < 2000
        ? OptionalDouble.empty()
        : OptionalDouble.of(both / Math.sqrt(first * second));
  }
}
