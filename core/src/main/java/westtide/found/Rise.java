package westtide.found;

/** Finds to the millisecond where a sound rises most near a moment. */
final class Rise {
  private static final double BLOCK_SECONDS = 0.001;
  private static final int SIDE = 10;
  private static final int EARLIER = 32;
  private static final int LATER = 22;

  /** Blocks by which a rise is found before the stroke itself, by loops of known truth. */
  private static final double LATE_BLOCKS = 2.5;

  private static final int CLICK = 3;
  private static final int AFTER_CLICK = 6;
  private static final double DUST = 0.02;

  private final double[] energy;
  private final double blockSeconds;
  private final double floor;
  private final double highest;

  Rise(Decimated sound) {
    int block = Math.max(1, (int) Math.round(BLOCK_SECONDS * sound.rate()));
    float[] samples = sound.samples();
    energy = new double[samples.length / block + 1];
    double most = 0;
    for (int i = 1; i < samples.length; i++) {
      double edge = samples[i] - samples[i - 1];
      energy[i / block] += edge * edge + 0.002 * samples[i] * samples[i];
    }
    for (double each : energy) {
      most = Math.max(most, each);
    }
    blockSeconds = block / sound.rate();
    highest = most;
    floor = 1e-5 * most + 1e-15;
  }

  double near(double seconds) {
    int middle = (int) Math.round(seconds / blockSeconds);
    int best = middle;
    double most = -1;
    for (int at = middle - EARLIER; at <= middle + LATER; at++) {
      double ratio = ratio(at) * (1 - 0.01 * Math.abs(at - middle + 4));
      if (ratio > most) {
        most = ratio;
        best = at;
      }
    }
    return best <= 0 ? 0 : (best + LATE_BLOCKS) * blockSeconds;
  }

  /** Whether what rises there is gone again after {@value #CLICK} ms, as dust on a record is. */
  boolean isClick(double seconds) {
    int at = (int) Math.round(seconds / blockSeconds);
    double before = AFTER_CLICK * floor;
    double after = AFTER_CLICK * floor;
    double peak = 0;
    for (int k = 0; k < AFTER_CLICK; k++) {
      before += block(at - 3 - k);
      after += block(at + CLICK + k);
      peak = Math.max(peak, block(at - 2 + k));
    }
    return peak < DUST * highest && after < 1.5 * before;
  }

  /** How far what follows a block lies over what came before it. */
  private double ratio(int at) {
    double before = SIDE * floor;
    double after = SIDE * floor;
    for (int k = 0; k < SIDE; k++) {
      before += block(at - 1 - k);
      after += block(at + k);
    }
    return Math.log(after / before);
  }

  private double block(int at) {
    return at < 0 || at >= energy.length ? 0 : energy[at];
  }
}
