package westtide.sound.desk;

/**
 * The room: eight delay lines that feed each other through a mixing matrix that neither adds nor
 * loses energy, each losing highs as air does. It runs at half the sample rate, since a room has no
 * top octave to speak of, and a block at a time, since no line is shorter than a block.
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
  private static final int PAST = 6;

  private final Line early;
  private final Line[] lines = new Line[LINES];
  private final float[] loss = new float[LINES];
  private final float[] air = new float[LINES];
  private final float[][] taps;
  private final float[] whole;
  private final float[] sent;
  private final float[] toLeft;
  private final float[] toRight;
  private final int silentAfter;
  private int quietFor;

  Room(int rate, int blockFrames) {
    int half = rate / 2;
    int block = blockFrames / 2;
    for (int i = 0; i < LINES; i++) {
      int length = (int) Math.round(METRES[i] / METRES_A_SECOND * half);
      lines[i] = new Line(length, block);
      loss[i] = (float) Math.pow(10, -3.0 * length / (SIXTY_DB_SECONDS * half));
    }
    early = new Line((int) (EARLY_MILLIS / 1000 * half), block);
    taps = new float[LINES][block];
    whole = new float[PAST + blockFrames];
    sent = new float[block];
    toLeft = new float[3 + block];
    toRight = new float[3 + block];
    silentAfter = rate / 2;
    quietFor = silentAfter;
  }

  /** Whether nothing is left to hear. */
  boolean silent() {
    return quietFor >= silentAfter;
  }

  /** Takes a block of sent samples and adds what the room answers. */
  void mix(float[] in, float[] left, float[] right, int frames) {
    int half = frames / 2;
    boolean fed = halve(in, half);
    if (!fed && silent()) {
      return;
    }
    early.swap(sent, half);
    turn(half);
    boolean heard = loud(toLeft, half) | loud(toRight, half);
    doubled(toLeft, left, half);
    doubled(toRight, right, half);
    quietFor = fed || heard ? 0 : Math.min(silentAfter, quietFor + frames);
  }

  /** One sample for two, what would fold back taken away by a half-band filter of seven taps. */
  private boolean halve(float[] in, int half) {
    System.arraycopy(in, 0, whole, PAST, 2 * half);
    float peak = 0;
    for (int i = 0; i < half; i++) {
      int at = 2 * i;
      float outer = whole[at] + whole[at + 6];
      float inner = whole[at + 2] + whole[at + 4];
      float out = (9 * inner - outer) / 32 + whole[at + 3] / 2;
      sent[i] = out;
      float size = out < 0 ? -out : out;
      peak = size > peak ? size : peak;
    }
    System.arraycopy(whole, 2 * half, whole, 0, PAST);
    return peak > SILENT;
  }

  private void turn(int half) {
    for (int i = 0; i < LINES; i++) {
      lines[i].read(taps[i], half);
    }
    dull(0, half);
    dull(LINES / 2, half);
    for (int i = 0; i < half; i++) {
      toLeft[3 + i] = LEVEL * (taps[0][i] - taps[2][i] + taps[4][i] - taps[6][i]);
      toRight[3 + i] = LEVEL * (taps[1][i] - taps[3][i] + taps[5][i] - taps[7][i]);
    }
    for (int i = 0; i < half; i++) {
      float low = taps[0][i] + taps[1][i] + taps[2][i] + taps[3][i];
      float high = taps[4][i] + taps[5][i] + taps[6][i] + taps[7][i];
      sent[i] -= (low + high) * (2f / LINES);
    }
    for (int i = 0; i < LINES; i++) {
      float[] tap = taps[i];
      for (int h = 0; h < half; h++) {
        tap[h] += sent[h];
      }
      lines[i].write(tap, half);
    }
  }

  /** What the air takes of four lines: highs at once, and a little of everything. */
  private void dull(int first, int half) {
    float keep = 1 - AIR;
    float[] a = taps[first];
    float[] b = taps[first + 1];
    float[] c = taps[first + 2];
    float[] d = taps[first + 3];
    float nowA = air[first];
    float nowB = air[first + 1];
    float nowC = air[first + 2];
    float nowD = air[first + 3];
    for (int i = 0; i < half; i++) {
      nowA = AIR * nowA + keep * a[i];
      nowB = AIR * nowB + keep * b[i];
      nowC = AIR * nowC + keep * c[i];
      nowD = AIR * nowD + keep * d[i];
      a[i] = nowA * loss[first];
      b[i] = nowB * loss[first + 1];
      c[i] = nowC * loss[first + 2];
      d[i] = nowD * loss[first + 3];
    }
    air[first] = nowA;
    air[first + 1] = nowB;
    air[first + 2] = nowC;
    air[first + 3] = nowD;
  }

  /** Two samples for one, the second between its neighbours on a cubic. */
  private static void doubled(float[] from, float[] out, int half) {
    for (int i = 0; i < half; i++) {
      out[2 * i] += from[i + 1];
      out[2 * i + 1] += (9 * (from[i + 1] + from[i + 2]) - (from[i] + from[i + 3])) / 16;
    }
    System.arraycopy(from, half, from, 0, 3);
  }

  private static boolean loud(float[] samples, int half) {
    float high = 0;
    for (int i = 3; i < 3 + half; i++) {
      float size = samples[i] < 0 ? -samples[i] : samples[i];
      high = size > high ? size : high;
    }
    return high > SILENT;
  }
}
