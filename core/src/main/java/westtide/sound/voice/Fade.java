package westtide.sound.voice;

/** Levels that rise in a straight line and fall by 60 dB in a given time. */
public final class Fade {
  /** How long a choked drum takes to fall by 60 dB. */
  public static final double CHOKE_MILLIS = 25;

  /** Far below what is heard or counts; soon after it a processor would count slowly. */
  private static final double FADED = 1e-20;

  private static final double SIXTY_DB = Math.log(1000);

  private Fade() {}

  /** What a level is multiplied by each sample to fall by 60 dB in that many milliseconds. */
  public static double perSample(double millis, int rate) {
    return Math.exp(-SIXTY_DB / (millis / 1000 * rate));
  }

  /** What a filter remembers, or nothing once that has faded. */
  public static double kept(double remembered) {
    return Math.abs(remembered) < FADED ? 0 : remembered;
  }

  /** The level of a straight rise at a sample. */
  public static double rise(int sample, int length) {
    return sample >= length ? 1 : sample / (double) length;
  }
}
