package westtide.sound.reverb;

import java.util.Arrays;
import westtide.song.mix.ReverbKind;
import westtide.sound.block.Blocks;
import westtide.sound.block.Doubling;
import westtide.sound.block.Line;
import westtide.sound.block.MovingLine;
import westtide.sound.voice.SineTable;

/**
 * A room: single reflections, then sixteen delay lines that feed each other through a mixing matrix
 * that neither adds nor loses energy. Half of the lines move a little, so that no tone is held, and
 * each loses highs as air and walls do. It runs at half the sample rate, since a room has no top
 * octave to speak of, and a block at a time, since no line is shorter than a block.
 */
public final class Reverb {
  private static final int LINES = 16;

  /** The shortest and the longest way of a hall in milliseconds. */
  private static final double SHORTEST = 22;

  private static final double LONGEST = 83;
  private static final double MOVES_MILLIS = 0.35;
  private static final double SLOWEST_HERTZ = 0.31;
  private static final double LOWS_HERTZ = 140;
  private static final float SILENT = 1e-6f;

  private final int rate;
  private final EarlyReflections early;
  private final Diffuser diffuser;
  private final Line[] still = new Line[LINES / 2];
  private final MovingLine[] moving = new MovingLine[LINES / 2];
  private final double[] lengths = new double[LINES / 2];
  private final double[] phases = new double[LINES / 2];
  private final float[] loss = new float[LINES];
  private final float[] pole = new float[LINES];
  private final float[] air = new float[LINES];
  private final float[][] taps;
  private final float[] sum;
  private final float[] first;
  private final float[] past = new float[5];
  private final float[] sent;
  private final float[] toLeft;
  private final float[] toRight;
  private final Doubling left;
  private final Doubling right;
  private final float level;
  private final float thin;
  private final int silentAfter;
  private float lows;
  private int quietFor;

  /** A room of a kind at a sample rate, for blocks of a length. */
  public static Reverb of(ReverbKind kind, int rate, int blockFrames) {
    return new Reverb(rate, blockFrames, ReverbShape.of(kind));
  }

  /** One for so many samples a second. */
  public Reverb(int fullRate, int blockFrames, ReverbShape shape) {
    rate = fullRate / 2;
    int block = blockFrames / 2;
    for (int i = 0; i < LINES; i++) {
      double share = (i * 7 % LINES) / (LINES - 1.0);
      double millis = shape.size() * SHORTEST * Math.pow(LONGEST / SHORTEST, share);
      int length = prime((int) Math.max(block + 10, millis / 1000 * rate));
      if (i % 2 == 0) {
        still[i / 2] = new Line(length, block);
      } else {
        lengths[i / 2] = length;
        moving[i / 2] = new MovingLine(length + moves(), block);
      }
      damp(i, length, shape);
    }
    begin();
    early = new EarlyReflections(rate, block, shape);
    diffuser = new Diffuser(prime(47), prime(83), prime(131), prime(197));
    taps = new float[LINES][block];
    sum = new float[block];
    first = new float[block];
    sent = new float[block];
    toLeft = new float[block];
    toRight = new float[block];
    left = new Doubling(block);
    right = new Doubling(block);
    level = (float) shape.level();
    thin = (float) (1 - Math.exp(-2 * Math.PI * LOWS_HERTZ / rate));
    silentAfter = fullRate / 2;
    quietFor = silentAfter;
  }

  /**
   * A line loses what its way takes of the lows, and its one pole more of the highs (Jot and
   * Chaigne 1991; from memory).
   */
  private void damp(int line, int length, ReverbShape shape) {
    double lost = -3 * length / (shape.seconds() * rate);
    double more = 1 - 1 / (shape.highs() * shape.highs());
    pole[line] = (float) Math.min(0.85, Math.log(10) / 4 * lost * more);
    loss[line] = (float) Math.pow(10, lost);
  }

  /** The first prime after a number, so that no two lines fall into step. */
  private static int prime(int from) {
    int next = from + 1;
    while (hasDivisor(next)) {
      next++;
    }
    return next;
  }

  private static boolean hasDivisor(int number) {
    for (int by = 2; by * by <= number; by++) {
      if (number % by == 0) {
        return true;
      }
    }
    return false;
  }

  private int moves() {
    return (int) Math.ceil(MOVES_MILLIS / 1000 * rate) + 1;
  }

  /** Moves as from the beginning of a song. */
  void begin() {
    for (int i = 0; i < phases.length; i++) {
      phases[i] = 0.37 * (2 * i + 1) % 1;
    }
  }

  /** Whether nothing is left to hear. */
  public boolean silent() {
    return quietFor >= silentAfter;
  }

  /** Lets a block pass in which nothing is sent and nothing is left to hear. */
  public void rest(int frames) {
    move(frames / 2);
  }

  /** Takes a block of sent samples and adds what the room answers. */
  public void mix(float[] in, float[] mixLeft, float[] mixRight, int frames) {
    int half = frames / 2;
    boolean fed = halve(in, half);
    move(half);
    if (!fed && silent()) {
      return;
    }
    late(half);
    early.reflect(sent, toLeft, toRight, half);
    diffuser.smear(sent, half);
    feed(half);
    boolean heard =
        fed || Blocks.peak(toLeft, half) > SILENT || Blocks.peak(toRight, half) > SILENT;
    left.add(toLeft, mixLeft, half);
    right.add(toRight, mixRight, half);
    quietFor = heard ? 0 : Math.min(silentAfter, quietFor + frames);
  }

  /**
   * One sample for two, what would fold back taken away by a half-band filter of seven taps, and
   * what lies below {@value #LOWS_HERTZ} Hz. Whether there is anything in them.
   */
  private boolean halve(float[] in, int half) {
    float oldest = past[0];
    float older = past[1];
    float old = past[2];
    float betweenOlder = past[3];
    float betweenOld = past[4];
    float low = lows;
    float keep = 1 - thin;
    float high = SILENT;
    for (int i = 0; i < half; i++) {
      float now = in[2 * i];
      float halved = (9 * (older + old) - (oldest + now)) / 32 + betweenOlder / 2;
      oldest = older;
      older = old;
      old = now;
      betweenOlder = betweenOld;
      betweenOld = in[2 * i + 1];
      float loud = Math.abs(halved);
      high = loud > high ? loud : high;
      low = keep * low + thin * (halved + Blocks.FAINT);
      sent[i] = halved - low;
    }
    past[0] = oldest;
    past[1] = older;
    past[2] = old;
    past[3] = betweenOlder;
    past[4] = betweenOld;
    lows = low;
    return high > SILENT;
  }

  /** What leaves the lines now, on both sides. */
  private void late(int half) {
    for (int i = 0; i < LINES / 2; i++) {
      still[i].read(taps[2 * i], half);
      moving[i].read(taps[2 * i + 1], half);
    }
    for (int i = 0; i < LINES; i += 4) {
      dull(i, half);
    }
    Arrays.fill(sum, 0, half, 0);
    side(0, toLeft, half);
    side(2, toRight, half);
  }

  /** Every other pair of lines from one on, in turn as it is and turned over, and into the sum. */
  private void side(int line, float[] out, int half) {
    float[] a = taps[line];
    float[] b = taps[line + 1];
    float[] c = taps[line + 4];
    float[] d = taps[line + 5];
    float[] e = taps[line + 8];
    float[] f = taps[line + 9];
    float[] g = taps[line + 12];
    float[] k = taps[line + 13];
    for (int i = 0; i < half; i++) {
      float upright = a[i] + b[i] + (e[i] + f[i]);
      float turned = c[i] + d[i] + (g[i] + k[i]);
      out[i] = level * (upright - turned);
      sum[i] += upright + turned;
    }
  }

  /** The lines move whether anything sounds or not, so that each part is heard as in the mix. */
  private void move(int half) {
    for (int i = 0; i < LINES / 2; i++) {
      phases[i] += (SLOWEST_HERTZ + 0.083 * i) * half / rate;
      phases[i] -= (int) phases[i];
      double swing = 0.5 + 0.5 * SineTable.at(phases[i]);
      moving[i].move(lengths[i] + MOVES_MILLIS / 1000 * rate * swing);
    }
  }

  /** Each line is fed by its neighbour, the mirror of all (Householder's matrix), and the sound. */
  private void feed(int half) {
    System.arraycopy(taps[0], 0, first, 0, half);
    for (int i = 0; i < LINES; i++) {
      float[] into = taps[i];
      float[] from = i + 1 < LINES ? taps[i + 1] : first;
      float sign = i % 4 < 2 ? 1 : -1;
      for (int h = 0; h < half; h++) {
        into[h] = from[h] - sum[h] * (2f / LINES) + sign * sent[h];
      }
      if (i % 2 == 0) {
        still[i / 2].write(into, half);
      } else {
        moving[i / 2].write(into, half);
      }
    }
  }

  /** What the air and the walls take of four lines: highs at once, and a little of everything. */
  private void dull(int line, int half) {
    float[] a = taps[line];
    float[] b = taps[line + 1];
    float[] c = taps[line + 2];
    float[] d = taps[line + 3];
    float poleA = pole[line];
    float poleB = pole[line + 1];
    float poleC = pole[line + 2];
    float poleD = pole[line + 3];
    float gainA = loss[line] * (1 - poleA);
    float gainB = loss[line + 1] * (1 - poleB);
    float gainC = loss[line + 2] * (1 - poleC);
    float gainD = loss[line + 3] * (1 - poleD);
    float nowA = air[line];
    float nowB = air[line + 1];
    float nowC = air[line + 2];
    float nowD = air[line + 3];
    for (int i = 0; i < half; i++) {
      nowA = poleA * nowA + gainA * a[i];
      nowB = poleB * nowB + gainB * b[i];
      nowC = poleC * nowC + gainC * c[i];
      nowD = poleD * nowD + gainD * d[i];
      a[i] = nowA;
      b[i] = nowB;
      c[i] = nowC;
      d[i] = nowD;
    }
    air[line] = nowA;
    air[line + 1] = nowB;
    air[line + 2] = nowC;
    air[line + 3] = nowD;
  }
}
