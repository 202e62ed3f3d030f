package westtide.sound.effect;

import westtide.song.mix.Space;
import westtide.sound.block.Blocks;
import westtide.sound.block.Ring;

/**
 * A delay of one channel: repeats go from left to right and back or stay in their place, each
 * softer than the one before and kept to a band. A change of its time fades from the old repeats to
 * the new ones within a block.
 */
public final class Echo {
  private static final int SIZE = 1 << 18;
  private static final float SILENT = 1e-6f;

  private final int rate;
  private final Ring first = new Ring(SIZE);
  private final Ring second = new Ring(SIZE);
  private final float[] old;
  private final int block;
  private final float[] one;
  private final float[] two;
  private final float[] back;
  private Space space;
  private float feedback;
  private float dull;
  private float thin;
  private int distance;
  private int before;
  private int quietFor = 2 * SIZE;
  private float duller;
  private float lows;

  /** One for so many samples a second. */
  public Echo(int rate, int blockFrames) {
    this.rate = rate;
    block = blockFrames;
    one = new float[blockFrames];
    two = new float[blockFrames];
    back = new float[blockFrames];
    old = new float[blockFrames];
    repeats(Space.USUAL);
  }

  /** Sets how repeats come back. */
  public void repeats(Space wanted) {
    if (wanted == space) {
      return;
    }
    space = wanted;
    feedback = wanted.feedback() / 100f;
    dull = (float) (1 - Math.exp(-2 * Math.PI * wanted.repeatsTo() / rate));
    thin = (float) (1 - Math.exp(-2 * Math.PI * wanted.repeatsFrom() / rate));
  }

  /** Sets the distance of the repeats in samples, held between a block and {@value #SIZE}. */
  public void distance(double frames) {
    before = distance == 0 ? limited(frames) : distance;
    distance = limited(frames);
  }

  private int limited(double frames) {
    return (int) Math.max(block, Math.min(SIZE - block, Math.round(frames)));
  }

  /** Whether nothing is left to hear: nothing came through both ways of a repeat. */
  public boolean silent() {
    return quietFor >= 2 * distance;
  }

  /** Takes what is sent and adds the repeats. */
  public void mix(float[] in, float[] left, float[] right, int frames) {
    tap(first, one, frames);
    if (space.pingPong()) {
      tap(second, two, frames);
    } else {
      System.arraycopy(one, 0, two, 0, frames);
    }
    float dulled = duller;
    float low = lows;
    float keep = 1 - dull;
    float keepLow = 1 - thin;
    for (int i = 0; i < frames; i++) {
      dulled = keep * dulled + dull * (two[i] + Blocks.FAINT);
      low = keepLow * low + thin * dulled;
      back[i] = in[i] + feedback * (dulled - low);
    }
    duller = dulled;
    lows = low;
    float level = space.pingPong() ? 1 : 0.7f;
    Blocks.add(one, left, level, frames);
    Blocks.add(two, right, level, frames);
    for (int i = 0; i < frames; i++) {
      one[i] *= 0.8f;
    }
    first.put(back, frames);
    second.put(one, frames);
    before = distance;
    boolean fed = Blocks.peak(back, frames) > SILENT;
    quietFor = fed ? 0 : Math.min(2 * SIZE, quietFor + frames);
  }

  private void tap(Ring line, float[] out, int frames) {
    line.copy(distance, out, frames);
    if (before == distance) {
      return;
    }
    line.copy(before, old, frames);
    for (int i = 0; i < frames; i++) {
      float fade = (i + 1f) / frames;
      out[i] = out[i] * fade + old[i] * (1 - fade);
    }
  }
}
