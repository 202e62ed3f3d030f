package westtide.sound.effect;

import java.util.Arrays;
import westtide.sound.block.Blocks;

/**
 * How high a signal goes between its samples: four values a sample by the interpolator of ITU-R
 * BS.1770-4, annex 2 (its 48 coefficients from memory).
 */
public final class TruePeak {
  /** How many samples later than its sample a value is known. */
  public static final int LATE = 6;

  private static final int TAPS = 12;

  /** No value between samples is higher than the highest sample times this. */
  private static final float MOST = 2.03f;

  private static final float[] FIRST = {
    0.001708984375f, 0.010986328125f, -0.0196533203125f, 0.033203125f,
    -0.0594482421875f, 0.1373291015625f, 0.97216796875f, -0.102294921875f,
    0.047607421875f, -0.026611328125f, 0.014892578125f, -0.00830078125f
  };
  private static final float[] SECOND = {
    -0.0291748046875f, 0.029296875f, -0.0517578125f, 0.089111328125f,
    -0.16650390625f, 0.465087890625f, 0.77978515625f, -0.2003173828125f,
    0.1015625f, -0.0582275390625f, 0.0330810546875f, -0.0189208984375f
  };
  private static final float[][] PHASES = {FIRST, SECOND, reversed(SECOND), reversed(FIRST)};

  private final float[] left;
  private final float[] right;
  private final float[] between;
  private final float[][] shifted;

  /** For blocks of at most so many samples. */
  public TruePeak(int blockFrames) {
    left = new float[TAPS - 1 + blockFrames];
    right = new float[TAPS - 1 + blockFrames];
    between = new float[blockFrames];
    shifted = new float[TAPS][blockFrames];
  }

  private static float[] reversed(float[] values) {
    float[] out = new float[values.length];
    for (int i = 0; i < values.length; i++) {
      out[i] = values[values.length - 1 - i];
    }
    return out;
  }

  /**
   * The highest of both sides around each sample of a block, {@value #LATE} samples late. False,
   * and nothing written, when all of it surely lies below a ceiling.
   */
  public boolean peaks(float[] inLeft, float[] inRight, int frames, float ceiling, float[] out) {
    System.arraycopy(inLeft, 0, left, TAPS - 1, frames);
    System.arraycopy(inRight, 0, right, TAPS - 1, frames);
    int all = TAPS - 1 + frames;
    boolean near = MOST * Math.max(Blocks.peak(left, all), Blocks.peak(right, all)) > ceiling;
    if (near) {
      for (int i = 0; i < frames; i++) {
        out[i] = Math.max(Math.abs(left[i + LATE - 1]), Math.abs(right[i + LATE - 1]));
      }
      raise(left, frames, out);
      raise(right, frames, out);
    }
    System.arraycopy(left, frames, left, 0, TAPS - 1);
    System.arraycopy(right, frames, right, 0, TAPS - 1);
    return near;
  }

  private void raise(float[] samples, int frames, float[] out) {
    for (int tap = 0; tap < TAPS; tap++) {
      System.arraycopy(samples, TAPS - 1 - tap, shifted[tap], 0, frames);
    }
    for (float[] phase : PHASES) {
      Arrays.fill(between, 0, frames, 0);
      for (int tap = 0; tap < TAPS; tap += 4) {
        four(tap, phase, frames);
      }
      for (int i = 0; i < frames; i++) {
        out[i] = Math.max(out[i], Math.abs(between[i]));
      }
    }
  }

  /** Four taps of the interpolator at once. */
  private void four(int tap, float[] phase, int frames) {
    float[] a = shifted[tap];
    float[] b = shifted[tap + 1];
    float[] c = shifted[tap + 2];
    float[] d = shifted[tap + 3];
    float pa = phase[tap];
    float pb = phase[tap + 1];
    float pc = phase[tap + 2];
    float pd = phase[tap + 3];
    for (int i = 0; i < frames; i++) {
      between[i] += pa * a[i] + pb * b[i] + (pc * c[i] + pd * d[i]);
    }
  }
}
