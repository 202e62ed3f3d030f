package westtide.sound.desk;

import java.util.Arrays;
import westtide.sound.block.Blocks;

/**
 * What single notes of a channel send to reverb and delay, beside what the channel sends as a
 * whole. Taken when the channel is made; belongs to the audio thread.
 */
final class Sends {
  private final float[] left;
  private final float[] right;
  private final float[] reverb;
  private final float[] delay;
  private boolean toReverb;
  private boolean toDelay;

  Sends(int blockFrames) {
    left = new float[blockFrames];
    right = new float[blockFrames];
    reverb = new float[blockFrames];
    delay = new float[blockFrames];
  }

  /** Forgets the last block. */
  void clear(int frames) {
    if (toReverb) {
      Arrays.fill(reverb, 0, frames, 0);
    }
    if (toDelay) {
      Arrays.fill(delay, 0, frames, 0);
    }
    toReverb = false;
    toDelay = false;
  }

  /** Adds the next samples of a voice to the bus, and its shares to what is sent. */
  void mix(
      Voice voice, float[] busLeft, float[] busRight, int frames, boolean middle, float[] taken) {
    Arrays.fill(left, 0, frames, 0);
    Arrays.fill(right, 0, frames, 0);
    voice.mix(left, right, frames, middle, taken);
    float[] other = middle ? left : right;
    Blocks.add(left, busLeft, 1, frames);
    if (!middle) {
      Blocks.add(right, busRight, 1, frames);
    }
    if (voice.reverb > 0) {
      toReverb = true;
      Blocks.add(left, reverb, 0.5f * voice.reverb, frames);
      Blocks.add(other, reverb, 0.5f * voice.reverb, frames);
    }
    if (voice.delay > 0) {
      toDelay = true;
      Blocks.add(left, delay, 0.5f * voice.delay, frames);
      Blocks.add(other, delay, 0.5f * voice.delay, frames);
    }
  }

  /** Adds what is sent to the reverb, at a gain; false when nothing is. */
  boolean addReverb(float[] to, float gain, int frames) {
    if (toReverb) {
      Blocks.add(reverb, to, gain, frames);
    }
    return toReverb;
  }

  /** Adds what is sent to the delay, at a gain; false when nothing is. */
  boolean addDelay(float[] to, float gain, int frames) {
    if (toDelay) {
      Blocks.add(delay, to, gain, frames);
    }
    return toDelay;
  }
}
