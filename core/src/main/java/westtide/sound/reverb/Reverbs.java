package westtide.sound.reverb;

import java.util.Arrays;
import westtide.song.mix.ReverbKind;
import westtide.sound.block.Blocks;

/** The rooms channels are sent to; one that nothing is sent to costs nothing. */
public final class Reverbs {
  private final Reverb[] rooms = new Reverb[ReverbKind.values().length];
  private final float[][] sent;

  /** All rooms, for blocks of a length. */
  public Reverbs(int rate, int blockFrames) {
    for (ReverbKind kind : ReverbKind.values()) {
      rooms[kind.ordinal()] = Reverb.of(kind, rate, blockFrames);
    }
    sent = new float[rooms.length][blockFrames];
  }

  /** Lets all rooms move as from the beginning of a song. */
  public void begin() {
    for (Reverb room : rooms) {
      room.begin();
    }
  }

  /** Forgets the sends of the last block. */
  public void clear() {
    for (float[] each : sent) {
      Arrays.fill(each, 0);
    }
  }

  /** Adds what is sent to a room. */
  public void send(ReverbKind kind, float[] samples, int frames) {
    Blocks.add(samples, sent[kind.ordinal()], 1, frames);
  }

  /** Adds what comes back to the mix. */
  public void mix(float[] left, float[] right, int frames) {
    for (int i = 0; i < rooms.length; i++) {
      rooms[i].mix(sent[i], left, right, frames);
    }
  }

  /** Whether nothing comes back any more. */
  public boolean silent() {
    boolean silent = true;
    for (Reverb room : rooms) {
      silent &= room.silent();
    }
    return silent;
  }
}
