package westtide.sound;

import java.util.Arrays;
import westtide.song.mix.ReverbKind;
import westtide.sound.block.Blocks;
import westtide.sound.block.Stretch;
import westtide.sound.desk.Channel;
import westtide.sound.desk.Frames;

/**
 * One part of a song on its way through it by itself, several blocks at a time, so that parts can
 * be rendered beside one another. What it made stays until it has made the next but one.
 */
final class PartRun implements Moved {
  /** Blocks made at a time. */
  static final int BLOCKS = 32;

  /** Samples made at a time. */
  static final int LOT = BLOCKS * Engine.BLOCK;

  private final PreparedScore score;
  private final PreparedScore.Prepared part;
  private final Transport transport;
  private final Stretch stretch = new Stretch(Engine.BLOCK);
  private Chunk made = new Chunk();
  private Chunk making = new Chunk();
  private int block;

  /** What a part made in some blocks. */
  static final class Chunk {
    final float[] left = new float[LOT];
    final float[] right = new float[LOT];
    final float[] toRoom = new float[LOT];
    private int blocksHeard;
    private int blocksSent;

    /** Whether any block has something in it; those that have not are silent. */
    boolean heard() {
      return blocksHeard > 0;
    }

    /** Whether any block sends something. */
    boolean sends() {
      return blocksSent > 0;
    }

    /** Multiplies everything, and what it sends, by one gain a sample. */
    void scale(float[] gains) {
      Blocks.scale(left, gains, LOT);
      Blocks.scale(right, gains, LOT);
      Blocks.scale(toRoom, gains, LOT);
    }

    private void take(Channel channel, int block, boolean heard) {
      blocksHeard = (block == 0 ? 0 : blocksHeard) + (heard ? 1 : 0);
      blocksSent = (block == 0 ? 0 : blocksSent) + (channel.sends() ? 1 : 0);
      take(heard, channel.left(), left, block);
      take(heard, channel.right(), right, block);
      take(channel.sends(), channel.toRoom(), toRoom, block);
    }

    private static void take(boolean any, float[] from, float[] to, int block) {
      int at = block * Engine.BLOCK;
      if (any) {
        System.arraycopy(from, 0, to, at, Engine.BLOCK);
      } else {
        Arrays.fill(to, at, at + Engine.BLOCK, 0);
      }
    }
  }

  PartRun(PreparedScore score, PreparedScore.Prepared part, int rate) {
    this.score = score;
    this.part = part;
    take(score, -1, rate / score.ticksPerSecond());
    this.transport = new Transport(this, rate);
    transport.play(0);
  }

  PreparedScore.Prepared part() {
    return part;
  }

  ReverbKind room() {
    return part.channel().room();
  }

  /** What was made last. */
  Chunk made() {
    return made;
  }

  /** Makes the next blocks, beside what was made last. */
  void make() {
    for (block = 0; block < BLOCKS; block++) {
      transport.block();
    }
  }

  /** Has what was being made be what was made last. */
  void turn() {
    Chunk before = made;
    made = making;
    making = before;
  }

  @Override
  public PreparedScore score() {
    return score;
  }

  @Override
  public Stretch stretch() {
    return stretch;
  }

  @Override
  public void begin() {}

  @Override
  public void take(PreparedScore next, int tick, double framesPerTick) {
    Engine.take(part, tick, framesPerTick);
  }

  @Override
  public void play(int fromTick, int toTick, Frames frames) {
    part.channel().play(fromTick, toTick, frames);
  }

  @Override
  public void chase(int tick, int offset, double framesPerTick) {
    part.channel().chase(tick, offset, framesPerTick);
  }

  @Override
  public void releaseHeld(int offset) {
    part.channel().releaseHeld(offset);
  }

  @Override
  public void mix() {
    boolean heard = part.channel().render(stretch, Engine.BLOCK, false);
    making.take(part.channel(), block, heard);
  }
}
