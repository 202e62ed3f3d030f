package westtide.sound.desk;

import westtide.song.drum.LaneSound;
import westtide.song.mix.Duck;
import westtide.song.mix.Effects;
import westtide.song.mix.Gate;
import westtide.song.mix.Mix;
import westtide.song.mix.Space;
import westtide.sound.block.Decibels;

/**
 * The settings of a channel, ready for the audio thread.
 *
 * @param left factor of the left side
 * @param right factor of the right side
 * @param lowCut Hz, 0 when off
 * @param lowPass Hz, {@link Mix#OPEN} when open
 * @param reverb share sent to the room, 0 to 1
 * @param delay share sent to its delay, 0 to 1
 * @param delayTicks how far apart its repeats are
 * @param space which room, and how its repeats come back
 * @param width 0 to 1
 * @param clip factor pushed into the soft clip, 0 when off
 * @param duck how it steps back
 * @param shape the curve along which it comes back
 * @param triggers the ticks it steps back at, rising; empty on each beat and when it does not
 * @param gain factor of both sides before they are panned
 * @param gate its rhythmic volume
 * @param moves what moves over the song
 * @param effects what is done to it on its way
 */
public record Strip(
    float left,
    float right,
    double lowCut,
    double lowPass,
    float reverb,
    float delay,
    int delayTicks,
    Space space,
    float width,
    float clip,
    Duck duck,
    DuckShape shape,
    int[] triggers,
    float gain,
    Gate gate,
    Movements moves,
    Effects effects) {
  private static final int[] NEVER = {};

  /** The strip of a mix that steps back at no drum; a muted channel is silent. */
  public static Strip of(Mix mix, Movements moves, boolean muted) {
    return of(mix, moves, muted, NEVER);
  }

  /** The strip of a drum lane, whose level and pan its notes carry themselves. */
  public static Strip lane(LaneSound sound) {
    Mix mix = Mix.PLAIN.withReverb(sound.reverb()).withDelay(sound.delay());
    return of(mix.withEffects(sound.effects()), Movements.NONE, false);
  }

  /** The strip of a mix that steps back at such ticks; a muted channel is silent. */
  public static Strip of(Mix mix, Movements moves, boolean muted, int[] triggers) {
    double gain = muted || mix.level() == Mix.SILENT ? 0 : Decibels.gain(mix.level() / 10.0);
    Pan pan = Pan.of(mix.pan());
    return new Strip(
        (float) (gain * pan.left()),
        (float) (gain * pan.right()),
        mix.lowCut(),
        mix.lowPass(),
        mix.reverb() / 100f,
        mix.delay() / 100f,
        mix.delayTime().ticks(),
        mix.space(),
        mix.width() / 100f,
        mix.clip() == 0 ? 0 : (float) Decibels.gain(mix.clip() / 10.0),
        mix.duck(),
        new DuckShape(mix.duck()),
        triggers,
        (float) gain,
        mix.gate(),
        moves,
        mix.effects());
  }

  boolean ducksLows() {
    return duck.trigger() != Duck.Trigger.NONE && duck.below() > 0;
  }

  boolean open() {
    return lowPass >= Mix.OPEN;
  }
}
