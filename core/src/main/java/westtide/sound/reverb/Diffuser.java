package westtide.sound.reverb;

import westtide.sound.block.Blocks;

/**
 * All-passes in a row: they smear a click into a cloud without colouring it (Schroeder 1962; from
 * memory).
 */
final class Diffuser {
  private static final float FEED = 0.62f;

  private final float[][] lines;
  private final float[] ins;
  private final float[] lates;
  private final int[] at;

  /** All-passes of such lengths in samples. */
  Diffuser(int... lengths) {
    lines = new float[lengths.length][];
    at = new int[lengths.length];
    int longest = 1;
    for (int i = 0; i < lengths.length; i++) {
      lines[i] = new float[Math.max(1, lengths[i])];
      longest = Math.max(longest, lengths[i]);
    }
    ins = new float[longest];
    lates = new float[longest];
  }

  /** Smears samples in place. */
  void smear(float[] samples, int length) {
    for (int stage = 0; stage < lines.length; stage++) {
      int done = 0;
      while (done < length) {
        int run = Math.min(length - done, lines[stage].length - at[stage]);
        smear(stage, samples, done, run);
        at[stage] = (at[stage] + run) % lines[stage].length;
        done += run;
      }
    }
  }

  /** Smears as many samples as lie in a row in the line. */
  private void smear(int stage, float[] samples, int from, int length) {
    System.arraycopy(samples, from, ins, 0, length);
    System.arraycopy(lines[stage], at[stage], lates, 0, length);
    for (int i = 0; i < length; i++) {
      float in = ins[i] + Blocks.FAINT - FEED * lates[i];
      ins[i] = lates[i] + FEED * in;
      lates[i] = in;
    }
    System.arraycopy(ins, 0, samples, from, length);
    System.arraycopy(lates, 0, lines[stage], at[stage], length);
  }
}
