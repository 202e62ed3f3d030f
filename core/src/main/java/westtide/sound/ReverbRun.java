package westtide.sound;

import java.util.Arrays;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.ForkJoinTask;
import westtide.song.mix.ReverbKind;
import westtide.sound.block.Blocks;
import westtide.sound.reverb.Reverb;

/** A room of a run, which answers some blocks at a time beside the other rooms. */
final class ReverbRun {
  private static final int LOT = PartRun.LOT;

  private final Reverb room;
  private final float[] sent = new float[LOT];
  private final float[] left = new float[LOT];
  private final float[] right = new float[LOT];
  private final float[] in = new float[Engine.BLOCK];
  private final float[] outLeft = new float[Engine.BLOCK];
  private final float[] outRight = new float[Engine.BLOCK];
  private ForkJoinTask<?> answer;
  private boolean fed;
  private boolean heard;

  ReverbRun(ReverbKind kind, int rate) {
    room = Reverb.of(kind, rate, Engine.BLOCK);
  }

  /** Adds what a part sends. */
  void send(float[] samples) {
    Blocks.add(samples, sent, 1, LOT);
    fed = true;
  }

  /** Begins to answer what was sent since the last time. */
  void begin() {
    answer = ForkJoinPool.commonPool().submit(this::answer);
  }

  /** Ends to answer. */
  void end() {
    answer.join();
    if (fed) {
      Arrays.fill(sent, 0);
      fed = false;
    }
  }

  /** Whether there is anything in the answer. */
  boolean heard() {
    return heard;
  }

  float[] left() {
    return left;
  }

  float[] right() {
    return right;
  }

  private void answer() {
    heard = fed || !room.silent();
    for (int from = 0; from < LOT; from += Engine.BLOCK) {
      if (!heard) {
        room.rest(Engine.BLOCK);
        continue;
      }
      System.arraycopy(sent, from, in, 0, Engine.BLOCK);
      Arrays.fill(outLeft, 0);
      Arrays.fill(outRight, 0);
      room.mix(in, outLeft, outRight, Engine.BLOCK);
      System.arraycopy(outLeft, 0, left, from, Engine.BLOCK);
      System.arraycopy(outRight, 0, right, from, Engine.BLOCK);
    }
  }
}
