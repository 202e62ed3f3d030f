package westtide.sound.effect;

import java.util.Arrays;
import westtide.sound.block.Blocks;
import westtide.sound.block.Decibels;
import westtide.sound.block.Ring;

/**
 * A limiter that looks ahead: nothing leaves above the ceiling, neither a sample nor what lies
 * between two of them (true peak), and the gain moves in a smooth curve that has arrived when the
 * peak does. Sound comes out {@link #lateFrames()} samples later.
 */
public final class Limiter {
  private static final double AHEAD_MILLIS = 1.5;
  private static final double RELEASE_MILLIS = 90;
  private static final int MOST_FRAMES = 1024;

  /** What a gain that moves may add between samples, and an interpolator may miss, in dB. */
  private static final double MARGIN_DB = 0.3;

  private final float ceiling;
  private final TruePeak truePeak = new TruePeak(MOST_FRAMES);
  private final float[] peaks = new float[MOST_FRAMES];
  private final int ahead;
  private final Ring lateLeft;
  private final Ring lateRight;
  private final float[] gains = new float[MOST_FRAMES];
  private final float[] least;
  private final SlidingLeast window;
  private final float release;
  private int at;
  private float recovering = 1;
  private float deepest = 1;
  private double sum;
  private int calmFor;

  /** A limiter whose ceiling is given in dB below full scale, such as −1. */
  public Limiter(int rate, double ceilingDb) {
    ceiling = (float) Decibels.gain(ceilingDb - MARGIN_DB);
    ahead = (int) (AHEAD_MILLIS / 1000 * rate);
    lateLeft = new Ring(lateFrames() + MOST_FRAMES);
    lateRight = new Ring(lateFrames() + MOST_FRAMES);
    least = new float[ahead];
    Arrays.fill(least, 1);
    window = new SlidingLeast(ahead);
    sum = ahead;
    calmFor = 2 * ahead;
    release = (float) (1 - Math.exp(-1000 / (RELEASE_MILLIS * rate)));
  }

  /** How late the sound comes out, in samples. */
  public int lateFrames() {
    return ahead - 1 + TruePeak.LATE;
  }

  /** How far it has turned down at most so far, in dB, 0 or more. */
  public double taken() {
    return Math.max(0, -Decibels.of(deepest));
  }

  /** Limits a block of at most {@value #MOST_FRAMES} samples in place. */
  public void limit(float[] left, float[] right, int frames) {
    boolean near = truePeak.peaks(left, right, frames, ceiling, peaks) && !within(frames);
    lateLeft.put(left, frames);
    lateRight.put(right, frames);
    lateLeft.copy(lateFrames() + frames, left, frames);
    lateRight.copy(lateFrames() + frames, right, frames);
    if (!near && calm()) {
      return;
    }
    for (int i = 0; i < frames; i++) {
      gains[i] = gain(near ? peaks[i] : 0);
    }
    hold(left, frames);
    hold(right, frames);
  }

  private boolean calm() {
    return calmFor >= 2 * ahead;
  }

  private boolean within(int frames) {
    return Blocks.peak(peaks, frames) <= ceiling;
  }

  private void hold(float[] samples, int frames) {
    for (int i = 0; i < frames; i++) {
      samples[i] = Math.max(-ceiling, Math.min(ceiling, samples[i] * gains[i]));
    }
  }

  /** The gain of the sample that leaves now, given the peak of the one that enters. */
  private float gain(float peak) {
    if (peak <= ceiling && calm()) {
      return 1;
    }
    float needed = peak > ceiling ? ceiling / peak : 1;
    recovering = Math.min(needed, recovering + release * (1 - recovering));
    recovering = recovering > 0.9995f ? 1 : recovering;
    deepest = Math.min(deepest, recovering);
    calmFor = recovering < 1 ? 0 : calmFor + 1;
    float now = window.least(recovering);
    sum += now - least[at];
    least[at] = now;
    at = at + 1 == ahead ? 0 : at + 1;
    if (calm()) {
      window.clear();
      sum = ahead;
    }
    return (float) Math.min(1, sum / ahead);
  }
}
