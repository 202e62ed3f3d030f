package westtide.style;

import westtide.song.mix.DelayTime;
import westtide.song.mix.Mix;

/**
 * Where a part of a style stands in its mix: a starting point, marked common practice.
 *
 * @param level tenths of a dB, −600 to 60
 * @param pan −100 left to 100 right
 * @param width percent of spread to the sides
 * @param reverb percent sent to the room
 * @param delay percent sent to the delay
 * @param delayTime how far apart its repeats are
 * @param lowCut Hz below which nothing passes; 0 when off
 * @param clip tenths of a dB pushed into a soft clip, which takes the points off drums so that the
 *     limiter need not; 0 when off
 */
public record MixHabit(
    int level,
    int pan,
    int width,
    int reverb,
    int delay,
    DelayTime delayTime,
    int lowCut,
    int clip) {
  /** In the middle, dry, at full level. */
  public static final MixHabit PLAIN = new MixHabit(0, 0, 0, 0, 0, DelayTime.DOTTED_EIGHTH, 0, 0);

  /** Checks the ranges by making the mix. */
  public MixHabit {
    Mix.PLAIN
        .withLevel(level)
        .withPan(pan)
        .withWidth(width)
        .withReverb(reverb)
        .withDelay(delay)
        .withLowCut(lowCut)
        .withClip(clip);
  }

  /** What a mix stands at, as a habit. */
  public static MixHabit of(Mix mix) {
    return new MixHabit(
        mix.level(),
        mix.pan(),
        mix.width(),
        mix.reverb(),
        mix.delay(),
        mix.delayTime(),
        mix.lowCut(),
        mix.clip());
  }

  /** A mix with everything else as it was. */
  public Mix on(Mix mix) {
    return mix.withLevel(level)
        .withPan(pan)
        .withWidth(width)
        .withReverb(reverb)
        .withDelay(delay)
        .withDelayTime(delayTime)
        .withLowCut(lowCut)
        .withClip(clip);
  }
}
