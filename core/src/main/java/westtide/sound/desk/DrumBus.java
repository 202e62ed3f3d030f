package westtide.sound.desk;

import java.util.Arrays;
import westtide.song.mix.Master;
import westtide.sound.block.Blocks;
import westtide.sound.effect.BusCompressor;
import westtide.sound.effect.TransientShaper;

/**
 * All drum parts together: what their sum asks for becomes one gain, which each of them is
 * multiplied by, so that parts rendered one by one still add up to the mix.
 */
public final class DrumBus {
  private final TransientShaper shaper;
  private final BusCompressor glue;
  private final float[] left;
  private final float[] right;
  private final float[] gains;
  private final float[] taken;

  /** A bus with room for a block of samples. */
  public DrumBus(int rate, int blockFrames) {
    shaper = new TransientShaper(rate);
    glue = new BusCompressor(rate);
    left = new float[blockFrames];
    right = new float[blockFrames];
    gains = new float[blockFrames];
    taken = new float[blockFrames];
  }

  /** Forgets the last block's sum. */
  public void clear() {
    Arrays.fill(left, 0);
    Arrays.fill(right, 0);
  }

  /** Adds both sides of a drum part. */
  public void add(float[] partLeft, float[] partRight, int from, int frames) {
    Blocks.addFrom(partLeft, from, taken, left, 1, frames);
    Blocks.addFrom(partRight, from, taken, right, 1, frames);
  }

  /** The gain of every sample of the block. */
  public float[] gains(Master master, int frames) {
    Arrays.fill(gains, 0, frames, 1);
    if (master.drumAttack() != 0 || master.drumSustain() != 0) {
      double attack = master.drumAttack() / 100.0;
      double sustain = master.drumSustain() / 100.0;
      shaper.gains(left, right, frames, attack, sustain, gains);
    }
    if (master.drumGlue() > 0) {
      glue.gains(left, right, frames, master.drumGlue() / 100.0, gains);
    }
    return gains;
  }
}
