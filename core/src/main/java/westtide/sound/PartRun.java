package westtide.sound;

import westtide.song.mix.RoomKind;
import westtide.sound.desk.Channel;
import westtide.sound.desk.Frames;
import westtide.sound.desk.Stretch;

/**
 * One part of a song on its way through it by itself, several blocks at a time, so that parts can
 * be rendered beside one another. What it made stays until it has made the next but one.
 */
final class PartRun implements Moved {
  /** Blocks made at a time. */
  static final int BLOCKS = 32;

  private final PreparedScore score;
  private final PreparedScore.Prepared part;
  private final Transport transport;
  private final Stretch stretch = new Stretch(Engine.BLOCK);
  private Chunk made = new Chunk();
  private Chunk making = new Chunk();
  private int block;

  /** What a part made in some blocks. */
  static final class Chunk {
    final float[] left = new float[BLOCKS * Engine.BLOCK];
    final float[] right = new float[BLOCKS * Engine.BLOCK];
    final float[] toRoom = new float[BLOCKS * Engine.BLOCK];
    final boolean[] heard = new boolean[BLOCKS];
    final boolean[] sends = new boolean[BLOCKS];

    /** Multiplies a block, and what it sends, by one gain a sample. */
    void scale(int block, float[] gains) {
      int from = block * Engine.BLOCK;
      for (int i = 0; i < Engine.BLOCK; i++) {
        left[from + i] *= gains[i];
        right[from + i] *= gains[i];
        toRoom[from + i] *= gains[i];
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

  RoomKind room() {
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
    Channel channel = part.channel();
    int from = block * Engine.BLOCK;
    making.heard[block] = channel.render(stretch, Engine.BLOCK, false);
    making.sends[block] = channel.sends();
    if (channel.heard()) {
      System.arraycopy(channel.left(), 0, making.left, from, Engine.BLOCK);
      System.arraycopy(channel.right(), 0, making.right, from, Engine.BLOCK);
    }
    if (channel.sends()) {
      System.arraycopy(channel.toRoom(), 0, making.toRoom, from, Engine.BLOCK);
    }
  }
}
