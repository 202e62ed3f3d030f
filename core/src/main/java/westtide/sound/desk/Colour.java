package westtide.sound.desk;

import java.util.Arrays;
import westtide.sound.voice.SineTable;

/** The colours of worn machines: tape, and few bits at a low sample rate. */
final class Colour {
  private static final int SIZE = 512;
  private static final int MASK = SIZE - 1;
  private static final double WOW_HERTZ = 0.63;
  private static final double FLUTTER_HERTZ = 7.1;

  private final int rate;
  private final float[][] lines = new float[2][SIZE];
  private final double[] dulled = new double[2];
  private final double[] bumped = new double[2];
  private final float[] held = new float[2];
  private final double[] since = new double[2];
  private int at;
  private double wow;
  private double flutter;

  Colour(int rate) {
    this.rate = rate;
  }

  void clear() {
    for (int side = 0; side < 2; side++) {
      Arrays.fill(lines[side], 0);
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
  void tape(float[] left, float[] right, int frames, double amount, boolean middle) {
    double deep = amount * 0.00028 * rate;
    double dull = 1 - Math.exp(-2 * Math.PI * (17_000 - 10_500 * amount) / rate);
    double bump = 1 - Math.exp(-2 * Math.PI * 90 / rate);
    double push = 0.4 + 1.1 * amount;
    for (int i = 0; i < frames; i++) {
      double late = deep * (1.05 + 0.9 * SineTable.at(wow) + 0.1 * SineTable.at(flutter));
      wow += WOW_HERTZ / rate;
      flutter += FLUTTER_HERTZ / rate;
      left[i] = taped(0, left[i], late, dull, bump, push, amount);
      if (!middle) {
        right[i] = taped(1, right[i], late, dull, bump, push, amount);
      }
      at = at + 1 & MASK;
    }
    wow -= (int) wow;
    flutter -= (int) flutter;
  }

  private float taped(
      int side, float in, double late, double dull, double bump, double push, double amount) {
    float[] line = lines[side];
    double x = in * push;
    line[at] = (float) (x / Math.sqrt(1 + x * x) / push);
    double place = at - late + SIZE;
    int index = (int) place;
    double share = place - index;
    double read = line[index & MASK] + share * (line[index + 1 & MASK] - line[index & MASK]);
    if (late < 1) {
      read = line[at];
    }
    dulled[side] += dull * (read - dulled[side]);
    bumped[side] += bump * (dulled[side] - bumped[side]);
    return (float) (dulled[side] + 0.25 * amount * bumped[side]);
  }

  /** Grain: samples held longer and rounded to fewer steps. */
  void grain(float[] left, float[] right, int frames, double amount, boolean middle) {
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
