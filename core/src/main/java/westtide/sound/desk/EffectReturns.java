package westtide.sound.desk;

import java.util.Arrays;
import westtide.song.mix.DelayTime;

/** What channels are sent to and what comes back: the room and a delay for each note value. */
public final class EffectReturns {
  private final int rate;
  private final Room room;
  private final Echo[] echoes = new Echo[DelayTime.values().length];
  private final float[] toRoom;
  private final float[][] toEcho;
  private final boolean[] fed = new boolean[DelayTime.values().length];

  /** Room and delays for blocks of a length. */
  public EffectReturns(int rate, int blockFrames) {
    this.rate = rate;
    room = new Room(rate, blockFrames);
    toRoom = new float[blockFrames];
    toEcho = new float[echoes.length][blockFrames];
    for (int i = 0; i < echoes.length; i++) {
      echoes[i] = new Echo(rate, blockFrames);
    }
  }

  /** Sets the distance of the repeats from the tempo. */
  public void setTempo(double ticksPerSecond) {
    for (int i = 0; i < echoes.length; i++) {
      echoes[i].distance(DelayTime.values()[i].ticks() / ticksPerSecond * rate);
    }
  }

  /** Forgets the sends of the last block. */
  public void clear() {
    Arrays.fill(toRoom, 0);
    for (int i = 0; i < echoes.length; i++) {
      fed[i] = false;
      Arrays.fill(toEcho[i], 0);
    }
  }

  /** Adds a channel to the mix and to what it is sent to. */
  public void send(Channel channel, float[] left, float[] right, int frames) {
    Strip strip = channel.strip();
    add(channel.left(), left, frames);
    add(channel.right(), right, frames);
    channel.sends().addReverb(toRoom, 0.5f * channel.sendGain(), frames);
    if (channel.sends().addDelay(toEcho[strip.delayBus()], 0.5f * channel.sendGain(), frames)) {
      fed[strip.delayBus()] = true;
    }
    if (channel.reverb() > 0) {
      addBoth(channel, toRoom, 0.5f * channel.reverb(), frames);
    }
    if (channel.delay() > 0) {
      fed[strip.delayBus()] = true;
      addBoth(channel, toEcho[strip.delayBus()], 0.5f * channel.delay(), frames);
    }
  }

  /** Adds what comes back to the mix. */
  public void mix(float[] left, float[] right, int frames) {
    for (int i = 0; i < echoes.length; i++) {
      if (fed[i] || !echoes[i].silent()) {
        echoes[i].mix(toEcho[i], left, right, frames);
      }
    }
    room.mix(toRoom, left, right, frames);
  }

  /** Whether nothing comes back any more. */
  public boolean silent() {
    boolean silent = room.silent();
    for (Echo echo : echoes) {
      silent &= echo.silent();
    }
    return silent;
  }

  private static void add(float[] from, float[] to, int frames) {
    for (int i = 0; i < frames; i++) {
      to[i] += from[i];
    }
  }

  private static void addBoth(Channel channel, float[] to, float share, int frames) {
    float[] left = channel.left();
    float[] right = channel.right();
    for (int i = 0; i < frames; i++) {
      to[i] += share * (left[i] + right[i]);
    }
  }
}
