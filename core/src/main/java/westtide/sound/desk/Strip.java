package westtide.sound.desk;

import westtide.song.mix.Duck;
import westtide.song.mix.Gate;
import westtide.song.mix.Mix;

/**
 * The settings of a channel, ready for the audio thread.
 *
 * @param left factor of the left side
 * @param right factor of the right side
 * @param lowCut Hz, 0 when off
 * @param lowPass Hz, {@link Mix#OPEN} when open
 * @param reverb share sent to the room, 0 to 1
 * @param delay share sent to the delay, 0 to 1
 * @param delayBus which delay, by the ordinal of its time
 * @param width 0 to 1
 * @param clip factor pushed into the soft clip, 0 when off
 * @param duck how it steps back
 * @param shape the curve along which it comes back
 * @param gain factor of both sides before they are panned
 * @param gate its rhythmic volume
 * @param moves what moves over the song
 */
public record Strip(
    float left,
    float right,
    double lowCut,
    double lowPass,
    float reverb,
    float delay,
    int delayBus,
    float width,
    float clip,
    Duck duck,
    DuckShape shape,
    float gain,
    Gate gate,
    Movements moves) {
  /** The strip of a mix; a muted channel is silent. */
  public static Strip of(Mix mix, Movements moves, boolean muted) {
    double gain = muted || mix.level() == Mix.SILENT ? 0 : Decibels.gain(mix.level() / 10.0);
    Pan pan = Pan.of(mix.pan());
    return new Strip(
        (float) (gain * pan.left()),
        (float) (gain * pan.right()),
        mix.lowCut(),
        mix.lowPass(),
        mix.reverb() / 100f,
        mix.delay() / 100f,
        mix.delayTime().ordinal(),
        mix.width() / 100f,
        mix.clip() == 0 ? 0 : (float) Decibels.gain(mix.clip() / 10.0),
        mix.duck(),
        new DuckShape(mix.duck()),
        (float) gain,
        mix.gate(),
        moves);
  }

  boolean ducksLows() {
    return duck.trigger() != Duck.Trigger.NONE && duck.below() > 0;
  }

  boolean open() {
    return lowPass >= Mix.OPEN;
  }
}
