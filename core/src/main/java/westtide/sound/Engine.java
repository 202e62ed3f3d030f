package westtide.sound;

import java.util.Arrays;
import westtide.sound.block.Blocks;
import westtide.sound.block.Stretch;
import westtide.sound.desk.Channel;
import westtide.sound.desk.DrumBus;
import westtide.sound.desk.Frames;
import westtide.sound.desk.MixBus;
import westtide.sound.effect.MonoLows;
import westtide.sound.reverb.Reverbs;

/**
 * Mixes a prepared score block by block. Belongs to the audio thread: it takes no memory and no
 * locks after it is built.
 */
public final class Engine implements Moved {
  /** Samples in a block: 5.3 ms at 48 kHz. */
  public static final int BLOCK = 256;

  private final Reverbs rooms;
  private final DrumBus drums;
  private final MonoLows lows;
  private final MixBus bus;
  private final Stretch stretch = new Stretch(BLOCK);
  private final float[] left = new float[BLOCK];
  private final float[] right = new float[BLOCK];
  private PreparedScore score;
  private boolean silent;

  /** An engine at a sample rate that plays a score and meters its channels. */
  public Engine(int rate, PreparedScore score) {
    rooms = new Reverbs(rate, BLOCK);
    drums = new DrumBus(rate, BLOCK);
    lows = new MonoLows(rate, BLOCK);
    bus = new MixBus(rate, BLOCK);
    take(score, -1, rate / score.ticksPerSecond());
  }

  /** What is played. */
  @Override
  public PreparedScore score() {
    return score;
  }

  /**
   * Plays another score from now on. With a tick at or above 0, notes that should be sounding there
   * come in; pass −1 while nothing plays.
   */
  @Override
  public void take(PreparedScore next, int tick, double framesPerTick) {
    score = next;
    for (int i = 0; i < next.parts().size(); i++) {
      take(next.parts().get(i), tick, framesPerTick);
    }
  }

  /** Has a part's channel, and those of its lanes, play what it plays now. */
  static void take(PreparedScore.Prepared part, int tick, double framesPerTick) {
    part.channel().through(part.through());
    part.channel().take(part.track(), part.strip(), tick, framesPerTick);
    for (int i = 0; i < part.lanes().size(); i++) {
      PreparedScore.Lane lane = part.lanes().get(i);
      lane.channel().take(lane.track(), lane.strip(), tick, framesPerTick);
    }
  }

  /** Begins to move from somewhere: what wavers does so as from the beginning of a song. */
  @Override
  public void begin() {
    rooms.begin();
  }

  /** What the transport writes the song's course through the block into. */
  @Override
  public Stretch stretch() {
    return stretch;
  }

  /** Starts and ends the notes of a stretch of ticks. */
  @Override
  public void play(int fromTick, int toTick, Frames frames) {
    for (int i = 0; i < score.parts().size(); i++) {
      score.parts().get(i).channel().play(fromTick, toTick, frames);
    }
  }

  /** Brings in what should be sounding at a tick. */
  @Override
  public void chase(int tick, int offset, double framesPerTick) {
    for (int i = 0; i < score.parts().size(); i++) {
      score.parts().get(i).channel().chase(tick, offset, framesPerTick);
    }
  }

  /** Lets every held note go. */
  @Override
  public void releaseHeld(int offset) {
    for (int i = 0; i < score.parts().size(); i++) {
      score.parts().get(i).channel().releaseHeld(offset);
    }
  }

  /** Plays one note now. */
  public void hear(Audition trial) {
    for (int i = 0; i < score.parts().size(); i++) {
      PreparedScore.Prepared part = score.parts().get(i);
      if (part.id().equals(trial.part())) {
        part.channel()
            .audition(
                trial.table(),
                0,
                trial.left(),
                trial.right(),
                trial.holdFrames(),
                trial.fall(),
                trial.choke());
      }
    }
  }

  /** Mixes the block up to, and without, the limiter. */
  @Override
  public void mix() {
    Arrays.fill(left, 0);
    Arrays.fill(right, 0);
    rooms.clear();
    boolean quiet = renderChannels();
    for (int i = 0; i < score.parts().size(); i++) {
      Channel channel = score.parts().get(i).channel();
      if (channel.heard()) {
        Blocks.add(channel.left(), left, 1, BLOCK);
        Blocks.add(channel.right(), right, 1, BLOCK);
      }
      if (channel.sends()) {
        rooms.send(channel.room(), channel.toRoom(), BLOCK);
      }
    }
    rooms.mix(left, right, BLOCK);
    lows.run(left, right, BLOCK);
    bus.run(score.master(), left, right, BLOCK);
    silent = quiet && rooms.silent();
  }

  private boolean renderChannels() {
    boolean quiet = true;
    boolean shaped = score.master().shapesDrums();
    drums.clear();
    for (int i = 0; i < score.parts().size(); i++) {
      PreparedScore.Prepared part = score.parts().get(i);
      boolean heard = part.channel().render(stretch, BLOCK, true);
      quiet &= !heard;
      if (shaped && part.drums() && heard) {
        drums.add(part.channel().left(), part.channel().right(), 0, BLOCK);
      }
    }
    if (shaped) {
      float[] gains = drums.gains(score.master(), BLOCK);
      for (int i = 0; i < score.parts().size(); i++) {
        PreparedScore.Prepared part = score.parts().get(i);
        if (part.drums() && part.channel().heard()) {
          part.channel().scale(gains, BLOCK);
        }
      }
    }
    return quiet;
  }

  /** The left side of the block. */
  public float[] left() {
    return left;
  }

  /** The right side of the block. */
  public float[] right() {
    return right;
  }

  /** Whether nothing sounds any more, tails included. */
  public boolean silent() {
    return silent;
  }
}
