package westtide.sound.desk;

/**
 * All-passes in a row: they smear a click into a cloud without colouring it (Schroeder 1962; from
 * memory).
 */
final class Diffuser {
  private static final float FEED = 0.62f;

  private final float[][] lines;
  private final int[] at;

  /** All-passes of such lengths in samples. */
  Diffuser(int... lengths) {
    lines = new float[lengths.length][];
    at = new int[lengths.length];
    for (int i = 0; i < lengths.length; i++) {
      lines[i] = new float[Math.max(1, lengths[i])];
    }
  }

  /** Smears samples in place. */
  void smear(float[] samples, int length) {
    for (int stage = 0; stage < lines.length; stage++) {
      float[] line = lines[stage];
      int place = at[stage];
      for (int i = 0; i < length; i++) {
        float late = line[place];
        float in = samples[i] - FEED * late;
        line[place] = in;
        samples[i] = late + FEED * in;
        place = place + 1 == line.length ? 0 : place + 1;
      }
      at[stage] = place;
    }
  }
}
