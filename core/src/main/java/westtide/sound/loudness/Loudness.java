package westtide.sound.loudness;

import java.util.Arrays;

/**
 * Loudness of a stereo signal by ITU-R BS.1770-4, in LUFS: momentary over 400 ms, short-term over 3
 * s, and integrated over everything that passes the gates at −70 LUFS and 10 LU below the mean.
 *
 * <p>Memory is taken once; the levels of all 400 ms windows are kept as counts and energies in
 * steps of 0.01 LU, so that a song of any length fits.
 */
public final class Loudness {
  /** What silence reads as. */
  public static final double SILENCE = -120;

  private static final double OFFSET = -0.691;
  private static final double ABSOLUTE_GATE = -70;
  private static final double RELATIVE_GATE = -10;
  private static final int STEPS_A_LU = 100;
  private static final int STEPS = 90 * STEPS_A_LU;
  private static final int HOPS_MOMENTARY = 4;
  private static final int HOPS_SHORT = 30;

  private final KWeighting left;
  private final KWeighting right;
  private final int hop;
  private final double[] hops = new double[HOPS_SHORT];
  private final long[] counts = new long[STEPS];
  private final double[] energies = new double[STEPS];
  private int filled;
  private long hopsSeen;
  private double sum;
  private double loudestMomentary = SILENCE;
  private double loudestShort = SILENCE;

  /** A meter at a sample rate. */
  public Loudness(int rate) {
    left = new KWeighting(rate);
    right = new KWeighting(rate);
    hop = rate / 10;
  }

  /** Hears a block. */
  public void hear(float[] leftSide, float[] rightSide, int frames) {
    int from = 0;
    while (from < frames) {
      int until = Math.min(frames, from + hop - filled);
      sum += left.energy(leftSide, from, until) + right.energy(rightSide, from, until);
      filled += until - from;
      from = until;
      if (filled == hop) {
        endHop();
      }
    }
  }

  private void endHop() {
    hops[(int) (hopsSeen % HOPS_SHORT)] = sum / hop;
    hopsSeen++;
    sum = 0;
    filled = 0;
    if (hopsSeen >= HOPS_MOMENTARY) {
      double energy = mean(HOPS_MOMENTARY);
      double level = level(energy);
      loudestMomentary = Math.max(loudestMomentary, level);
      if (level > ABSOLUTE_GATE) {
        int step = Math.min(STEPS - 1, (int) ((level - ABSOLUTE_GATE) * STEPS_A_LU));
        counts[step]++;
        energies[step] += energy;
      }
    }
    if (hopsSeen >= HOPS_SHORT) {
      loudestShort = Math.max(loudestShort, level(mean(HOPS_SHORT)));
    }
  }

  /** The last 400 ms. */
  public double momentary() {
    return level(mean(HOPS_MOMENTARY));
  }

  /** The last 3 s. */
  public double shortTerm() {
    return level(mean(HOPS_SHORT));
  }

  /** The loudest 400 ms so far. */
  public double loudestMomentary() {
    return loudestMomentary;
  }

  /** The loudest 3 s so far. */
  public double loudestShort() {
    return loudestShort;
  }

  /** Everything so far, gated; {@link #SILENCE} when nothing passed the gates. */
  public double integrated() {
    double ungated = gated(0);
    int gate = (int) Math.ceil((level(ungated) + RELATIVE_GATE - ABSOLUTE_GATE) * STEPS_A_LU);
    return level(gated(Math.max(0, gate)));
  }

  /** Forgets what was heard. */
  public void clear() {
    Arrays.fill(hops, 0);
    Arrays.fill(counts, 0);
    Arrays.fill(energies, 0);
    filled = 0;
    hopsSeen = 0;
    sum = 0;
    loudestMomentary = SILENCE;
    loudestShort = SILENCE;
  }

  private double gated(int fromStep) {
    long count = 0;
    double energy = 0;
    for (int step = fromStep; step < STEPS; step++) {
      count += counts[step];
      energy += energies[step];
    }
    return count == 0 ? 0 : energy / count;
  }

  private double mean(int length) {
    double energy = 0;
    for (int i = 1; i <= Math.min(length, hopsSeen); i++) {
      energy += hops[(int) ((hopsSeen - i) % HOPS_SHORT)];
    }
    return energy / length;
  }

  private static double level(double energy) {
    return energy <= 0 ? SILENCE : Math.max(SILENCE, OFFSET + 10 * Math.log10(energy));
  }
}
