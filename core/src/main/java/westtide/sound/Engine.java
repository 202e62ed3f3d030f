package westtide.sound;

import java.util.Arrays;
import westtide.song.id.PartId;
import westtide.sound.desk.Channel;
import westtide.sound.desk.EffectReturns;
import westtide.sound.desk.Frames;
import westtide.sound.desk.Stretch;

/**
 * Mixes a prepared score block by block. Belongs to the audio thread: it takes no memory and no
 * locks after it is built.
 */
public final class Engine {
  /** Samples in a block: 5.3 ms at 48 kHz. */
  public static final int BLOCK = 256;

  private final EffectReturns returns;
  private final Stretch stretch = new Stretch(BLOCK);
  private final float[] left = new float[BLOCK];
  private final float[] right = new float[BLOCK];
  private final Tap tap;
  private final boolean metered;
  private PreparedScore score;
  private boolean silent;

  /** Hears every channel after its strip, as a block is mixed. */
  public interface Tap {
    /** A block of a channel. */
    void hear(PartId part, float[] left, float[] right, int frames);
  }

  /** An engine at a sample rate that plays a score and meters its channels. */
  public Engine(int rate, PreparedScore score) {
    this(rate, score, null, true);
  }

  /** An engine whose channels are not metered but may be listened to by a tap, null for none. */
  Engine(int rate, PreparedScore score, Tap tap) {
    this(rate, score, tap, false);
  }

  private Engine(int rate, PreparedScore score, Tap tap, boolean metered) {
    this.metered = metered;
    this.returns = new EffectReturns(rate, BLOCK);
    this.tap = tap;
    take(score, -1, 0);
  }

  /** What is played. */
  public PreparedScore score() {
    return score;
  }

  /**
   * Plays another score from now on. With a tick at or above 0, notes that should be sounding there
   * come in; pass −1 while nothing plays.
   */
  public void take(PreparedScore next, int tick, double framesPerTick) {
    score = next;
    for (int i = 0; i < next.parts().size(); i++) {
      PreparedScore.Prepared part = next.parts().get(i);
      part.channel().take(part.track(), part.strip(), tick, framesPerTick);
    }
    returns.setTempo(next.ticksPerSecond());
  }

  /** What the transport writes the song's course through the block into. */
  public Stretch stretch() {
    return stretch;
  }

  /** Starts and ends the notes of a stretch of ticks. */
  public void play(int fromTick, int toTick, Frames frames) {
    for (int i = 0; i < score.parts().size(); i++) {
      score.parts().get(i).channel().play(fromTick, toTick, frames);
    }
  }

  /** Brings in what should be sounding at a tick. */
  public void chase(int tick, int offset, double framesPerTick) {
    for (int i = 0; i < score.parts().size(); i++) {
      score.parts().get(i).channel().chase(tick, offset, framesPerTick);
    }
  }

  /** Lets every held note go. */
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

  /** Mixes the block. */
  public void mix() {
    Arrays.fill(left, 0);
    Arrays.fill(right, 0);
    returns.clear();
    boolean quiet = true;
    for (int i = 0; i < score.parts().size(); i++) {
      PreparedScore.Prepared part = score.parts().get(i);
      Channel channel = part.channel();
      if (channel.render(stretch, score.kicks(), BLOCK, metered)) {
        quiet = false;
        returns.send(channel, left, right, BLOCK);
      }
      if (tap != null) {
        tap.hear(part.id(), channel.left(), channel.right(), BLOCK);
      }
    }
    returns.mix(left, right, BLOCK);
    silent = quiet && returns.silent();
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
