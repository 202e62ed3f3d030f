package westtide.sound;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import westtide.song.mix.ReverbKind;
import westtide.sound.block.Blocks;
import westtide.sound.effect.MonoLows;

/**
 * Adds up what some parts of a run made, with the rooms they are sent to, some blocks at a time;
 * the rooms answer beside one another.
 */
final class RunMix {
  private static final int LOT = PartRun.LOT;

  private final List<PartRun> parts;
  private final Map<ReverbKind, ReverbRun> rooms = new EnumMap<>(ReverbKind.class);
  private final List<ReverbRun> answering = new ArrayList<>();
  private final MonoLows lows;
  private final float[] lotLeft = new float[LOT];
  private final float[] lotRight = new float[LOT];
  private final float[] left = new float[Engine.BLOCK];
  private final float[] right = new float[Engine.BLOCK];

  RunMix(List<PartRun> parts, int rate) {
    this.parts = parts;
    this.lows = new MonoLows(rate, Engine.BLOCK);
    for (ReverbKind kind : ReverbKind.values()) {
      ReverbRun room = new ReverbRun(kind, rate);
      rooms.put(kind, room);
      answering.add(0, room);
    }
  }

  float[] left() {
    return left;
  }

  float[] right() {
    return right;
  }

  /** Sends the rooms what the parts made last, and has them begin to answer. */
  void begin() {
    for (PartRun run : parts) {
      if (run.made().sends()) {
        rooms.get(run.room()).send(run.made().toRoom);
      }
    }
    rooms.values().forEach(ReverbRun::begin);
  }

  /** Adds up what the parts made last and what the rooms answer. */
  void end() {
    Arrays.fill(lotLeft, 0);
    Arrays.fill(lotRight, 0);
    for (PartRun run : parts) {
      if (run.made().heard()) {
        Blocks.add(run.made().left, lotLeft, 1, LOT);
        Blocks.add(run.made().right, lotRight, 1, LOT);
      }
    }
    answering.forEach(ReverbRun::end);
    for (ReverbRun room : rooms.values()) {
      if (room.heard()) {
        Blocks.add(room.left(), lotLeft, 1, LOT);
        Blocks.add(room.right(), lotRight, 1, LOT);
      }
    }
  }

  /** Takes one of the blocks that were added up last. */
  void mix(int block) {
    System.arraycopy(lotLeft, block * Engine.BLOCK, left, 0, Engine.BLOCK);
    System.arraycopy(lotRight, block * Engine.BLOCK, right, 0, Engine.BLOCK);
    lows.run(left, right, Engine.BLOCK);
  }
}
