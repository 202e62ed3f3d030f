package westtide.sound.desk;

/**
 * The room: eight delay lines that feed each other through a mixing matrix that neither adds nor
 * loses energy, each losing highs as air does. It runs at half the sample rate, since a room has no
 * top octave to speak of.
 */
final class Room {
  private static final int LINES = 8;
  private static final double[] METRES = {8.3, 9.7, 11.5, 13.1, 14.9, 16.7, 18.5, 20.3};
  private static final double METRES_A_SECOND = 343;
  private static final double SIXTY_DB_SECONDS = 1.5;
  private static final double EARLY_MILLIS = 14;
  private static final float AIR = 0.32f;
  private static final float LEVEL = 0.55f;
  private static final float SILENT = 1e-6f;

  private final float[][] lines = new float[LINES][];
  private final int[] at = new int[LINES];
  private final float[] loss = new float[LINES];
  private final float[] air = new float[LINES];
  private final float[] tap = new float[LINES];
  private final float[] early;
  private final float[] past = new float[6];
  private final float[] leftPast = new float[4];
  private final float[] rightPast = new float[4];
  private final int silentAfter;
  private int earlyAt;
  private int quietFor;

  Room(int rate) {
    int half = rate / 2;
    for (int i = 0; i < LINES; i++) {
      lines[i] = new float[(int) Math.round(METRES[i] / METRES_A_SECOND * half)];
      loss[i] = (float) Math.pow(10, -3.0 * lines[i].length / (SIXTY_DB_SECONDS * half));
    }
    early = new float[(int) (EARLY_MILLIS / 1000 * half)];
    silentAfter = rate / 2;
    quietFor = silentAfter;
  }

  /** Whether nothing is left to hear. */
  boolean silent() {
    return quietFor >= silentAfter;
  }

  /** Takes an even number of sent samples and adds what the room answers. */
  void mix(float[] in, float[] left, float[] right, int frames) {
    float peak = 0;
    for (int i = 0; i < frames; i += 2) {
      float sent = halved(in[i], in[i + 1]);
      float heard = early[earlyAt];
      early[earlyAt] = sent;
      earlyAt = earlyAt + 1 == early.length ? 0 : earlyAt + 1;
      turn(heard);
      float toLeft = LEVEL * (tap[0] - tap[2] + tap[4] - tap[6]);
      float toRight = LEVEL * (tap[1] - tap[3] + tap[5] - tap[7]);
      doubled(leftPast, toLeft, left, i);
      doubled(rightPast, toRight, right, i);
      peak = Math.max(peak, Math.abs(sent) + Math.abs(toLeft) + Math.abs(toRight));
    }
    quietFor = peak > SILENT ? 0 : Math.min(silentAfter, quietFor + frames);
  }

  private void turn(float in) {
    float sum = 0;
    for (int i = 0; i < LINES; i++) {
      float out = lines[i][at[i]];
      air[i] += (1 - AIR) * (out - air[i]);
      tap[i] = air[i] * loss[i];
      sum += tap[i];
    }
    float shared = sum * (2f / LINES);
    for (int i = 0; i < LINES; i++) {
      lines[i][at[i]] = in + tap[i] - shared;
      at[i] = at[i] + 1 == lines[i].length ? 0 : at[i] + 1;
    }
  }

  /** One sample for two, what would fold back taken away by a half-band filter of seven taps. */
  private float halved(float one, float two) {
    float out = (9 * (past[2] + past[4]) - (past[0] + one)) / 32 + past[3] / 2;
    past[0] = past[2];
    past[1] = past[3];
    past[2] = past[4];
    past[3] = past[5];
    past[4] = one;
    past[5] = two;
    return out;
  }

  /** Two samples for one, the second between its neighbours on a cubic. */
  private static void doubled(float[] past, float in, float[] out, int at) {
    out[at] += past[2];
    out[at + 1] += (9 * (past[2] + past[3]) - (past[1] + in)) / 16;
    past[0] = past[1];
    past[1] = past[2];
    past[2] = past[3];
    past[3] = in;
  }
}
