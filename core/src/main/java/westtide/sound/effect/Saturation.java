package westtide.sound.effect;

import westtide.sound.block.Blocks;
import westtide.sound.block.MovingLine;
import westtide.sound.block.Stretch;
import westtide.sound.voice.SineTable;

/** The colours of worn machines: tape, and few bits at a low sample rate. */
public final class Saturation {
  private static final double LATEST_MILLIS = 1;
  private static final double WOW_HERTZ = 0.63;
  private static final double FLUTTER_HERTZ = 7.1;

  private final int rate;
  private final MovingLine[] lines = new MovingLine[2];
  private final float[] piece = new float[Stretch.EVERY];
  private final float[] dulled = new float[2];
  private final float[] bumped = new float[2];
  private final float[] held = new float[2];
  private final double[] since = new double[2];
  private double wow;
  private double flutter;

  /** One for so many samples a second. */
  public Saturation(int rate) {
    this.rate = rate;
    for (int side = 0; side < 2; side++) {
      lines[side] = new MovingLine((int) (LATEST_MILLIS / 1000 * rate), Stretch.EVERY);
    }
  }

  /** Forgets what it heard. */
  public void clear() {
    for (int side = 0; side < 2; side++) {
      lines[side].clear();
      dulled[side] = 0;
      bumped[side] = 0;
      held[side] = 0;
      since[side] = 0;
    }
    wow = 0;
    flutter = 0;
  }

  /**
   * Tape: bent softly, a little fuller below, duller above, and never quite steady. It comes out a
   * third of a millisecond late at most.
   */
  public void tape(float[] left, float[] right, int frames, double amount, boolean middle) {
    double deep = amount * 0.00028 * rate;
    float dull = (float) (1 - Math.exp(-2 * Math.PI * (17_000 - 10_500 * amount) / rate));
    float bump = (float) (1 - Math.exp(-2 * Math.PI * 90 / rate));
    float fuller = (float) (0.25 * amount);
    float push = (float) (0.4 + 1.1 * amount);
    bend(left, frames, push);
    if (!middle) {
      bend(right, frames, push);
    }
    for (int from = 0; from < frames; from += Stretch.EVERY) {
      wow += Stretch.EVERY * WOW_HERTZ / rate;
      flutter += Stretch.EVERY * FLUTTER_HERTZ / rate;
      double late = Math.max(1, deep * swing());
      tape(0, left, from, late, dull, bump, fuller);
      if (!middle) {
        tape(1, right, from, late, dull, bump, fuller);
      }
    }
    wow -= (int) wow;
    flutter -= (int) flutter;
  }

  private double swing() {
    return 1.05 + 0.9 * SineTable.at(wow) + 0.1 * SineTable.at(flutter);
  }

  private void tape(
      int side, float[] samples, int from, double late, float dull, float bump, float fuller) {
    MovingLine line = lines[side];
    System.arraycopy(samples, from, piece, 0, Stretch.EVERY);
    line.write(piece, Stretch.EVERY);
    line.move(Stretch.EVERY + late);
    line.read(piece, Stretch.EVERY);
    float soft = dulled[side];
    float low = bumped[side];
    for (int i = 0; i < Stretch.EVERY; i++) {
      soft = (1 - dull) * soft + dull * (piece[i] + Blocks.FAINT);
      low = (1 - bump) * low + bump * soft;
      samples[from + i] = soft + fuller * low;
    }
    dulled[side] = soft;
    bumped[side] = low;
  }

  private static void bend(float[] samples, int frames, float push) {
    for (int i = 0; i < frames; i++) {
      float x = samples[i] * push;
      samples[i] /= (float) Math.sqrt(1 + x * x);
    }
  }

  /** Grain: samples held longer and rounded to fewer steps. */
  public void grain(float[] left, float[] right, int frames, double amount, boolean middle) {
    double hold = 1 + 11 * amount * amount;
    float steps = (float) Math.pow(2, 15 - 10.5 * amount);
    for (int side = 0; side < (middle ? 1 : 2); side++) {
      float[] samples = side == 0 ? left : right;
      float now = held[side];
      double passed = since[side];
      for (int i = 0; i < frames; i++) {
        passed += 1;
        if (passed >= hold) {
          passed -= hold;
          now = Math.round(samples[i] * steps) / steps;
        }
        samples[i] = now;
      }
      held[side] = now;
      since[side] = passed;
    }
  }
}
