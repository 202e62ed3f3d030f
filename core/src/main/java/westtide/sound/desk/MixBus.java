package westtide.sound.desk;

import java.util.Arrays;
import westtide.song.mix.Master;
import westtide.sound.block.Blocks;
import westtide.sound.block.Decibels;
import westtide.sound.effect.BusCompressor;

/** The whole mix before its limiter: its gain, and what holds it together. */
public final class MixBus {
  private static final double SMOOTH_MILLIS = 20;

  private final BusCompressor glue;
  private final float[] gains;
  private final float smooth;
  private float gain = -1;

  /** A bus with room for a block of samples. */
  public MixBus(int rate, int blockFrames) {
    glue = new BusCompressor(rate);
    gains = new float[blockFrames];
    smooth = (float) (1 - Math.exp(-1000 / (SMOOTH_MILLIS * rate)));
  }

  /** Works on a block in place. */
  public void run(Master master, float[] left, float[] right, int frames) {
    float wanted = (float) Decibels.gain(master.gain() / 10.0);
    gain = gain < 0 ? wanted : gain;
    if (wanted == 1 && gain == 1 && master.glue() == 0) {
      return;
    }
    approach(wanted, frames);
    scale(left, right, frames);
    if (master.glue() > 0) {
      Arrays.fill(gains, 0, frames, 1);
      glue.gains(left, right, frames, master.glue() / 100.0, gains);
      scale(left, right, frames);
    }
  }

  private void approach(float wanted, int frames) {
    if (gain == wanted) {
      Arrays.fill(gains, 0, frames, gain);
      return;
    }
    for (int i = 0; i < frames; i++) {
      gain += smooth * (wanted - gain);
      gains[i] = gain;
    }
    gain = Math.abs(gain - wanted) < 1e-5f ? wanted : gain;
  }

  private void scale(float[] left, float[] right, int frames) {
    Blocks.scale(left, gains, frames);
    Blocks.scale(right, gains, frames);
  }
}
