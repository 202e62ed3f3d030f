package westtide.sound;

import java.util.Arrays;
import java.util.List;
import westtide.sound.desk.MonoLows;
import westtide.sound.desk.Rooms;

/** Adds up what some parts of a run made, with the rooms they are sent to. */
final class RunMix {
  private final List<PartRun> parts;
  private final Rooms rooms;
  private final MonoLows lows;
  private final float[] left = new float[Engine.BLOCK];
  private final float[] right = new float[Engine.BLOCK];

  RunMix(List<PartRun> parts, int rate) {
    this.parts = parts;
    this.rooms = new Rooms(rate, Engine.BLOCK);
    this.lows = new MonoLows(rate, Engine.BLOCK);
  }

  float[] left() {
    return left;
  }

  float[] right() {
    return right;
  }

  /** Mixes one of the blocks that were made last. */
  void mix(int block) {
    Arrays.fill(left, 0);
    Arrays.fill(right, 0);
    rooms.clear();
    int from = block * Engine.BLOCK;
    for (PartRun run : parts) {
      PartRun.Chunk chunk = run.made();
      if (chunk.heard[block]) {
        for (int i = 0; i < Engine.BLOCK; i++) {
          left[i] += chunk.left[from + i];
          right[i] += chunk.right[from + i];
        }
      }
      if (chunk.sends[block]) {
        rooms.send(run.room(), chunk.toRoom, from, Engine.BLOCK);
      }
    }
    rooms.mix(left, right, Engine.BLOCK);
    lows.run(left, right, Engine.BLOCK);
  }
}
