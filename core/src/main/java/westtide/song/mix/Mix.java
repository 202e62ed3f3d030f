package westtide.song.mix;

import java.util.function.Consumer;

/**
 * A part's place in the mix.
 *
 * @param level tenths of a dB, −600 to 60; −600 is silence
 * @param pan −100 left to 100 right
 * @param lowCut Hz below which nothing passes, 10 to 2000; 0 when off
 * @param lowPass Hz above which nothing passes, 200 to 20 000; 20 000 is open
 * @param reverb percent sent to the room, 0 to 100
 * @param delay percent sent to the delay, 0 to 100
 * @param delayTime how far apart its repeats are
 * @param width percent of spread to the sides, 0 to 100; the middle stays as it is
 * @param clip tenths of a dB pushed into a soft clip, 0 to 180; 0 when off
 * @param duck how it steps back for the kick
 * @param gate its rhythmic volume
 * @param space which room its sends go to, and how its repeats come back
 * @param effects what is done to it on its way
 */
public record Mix(
    int level,
    int pan,
    int lowCut,
    int lowPass,
    int reverb,
    int delay,
    DelayTime delayTime,
    int width,
    int clip,
    Duck duck,
    Gate gate,
    Space space,
    Effects effects) {
  /** Tenths of a dB that count as silence. */
  public static final int SILENT = -600;

  /** The loudest level, in tenths of a dB. */
  public static final int LOUDEST = 60;

  /** Hz at which a low pass lets everything through. */
  public static final int OPEN = 20_000;

  /** The lowest low-pass, in Hz. */
  public static final int LOWEST_PASS = 200;

  /** The highest low cut, in Hz. */
  public static final int HIGHEST_CUT = 2000;

  /** In the middle at full level, with nothing done to it. */
  public static final Mix PLAIN =
      new Mix(
          0,
          0,
          0,
          OPEN,
          0,
          0,
          DelayTime.DOTTED_EIGHTH,
          0,
          0,
          Duck.NONE,
          Gate.OPEN,
          Space.USUAL,
          Effects.NONE);

  /** Checks every range. */
  public Mix {
    Range.check("a level", level, SILENT, LOUDEST, "tenths of a dB");
    Range.check("a pan", pan, -100, 100, "(left to right)");
    Range.check("a low cut", lowCut, 0, HIGHEST_CUT, "Hz");
    Range.check("a low pass", lowPass, LOWEST_PASS, OPEN, "Hz");
    Range.check("a reverb send", reverb, 0, 100, "%");
    Range.check("a delay send", delay, 0, 100, "%");
    Range.check("a width", width, 0, 100, "%");
    Range.check("a soft clip", clip, 0, 180, "tenths of a dB");
  }

  /** The same mix at another level, in tenths of a dB. */
  public Mix withLevel(int tenths) {
    return with(copy -> copy.level = tenths);
  }

  /** The same mix at another place between left and right. */
  public Mix withPan(int other) {
    return with(copy -> copy.pan = other);
  }

  /** The same mix cut below a frequency; 0 to take the cut away. */
  public Mix withLowCut(int hertz) {
    return with(copy -> copy.lowCut = hertz);
  }

  /** The same mix open up to a frequency. */
  public Mix withLowPass(int hertz) {
    return with(copy -> copy.lowPass = hertz);
  }

  /** The same mix with another share sent to the room. */
  public Mix withReverb(int percent) {
    return with(copy -> copy.reverb = percent);
  }

  /** The same mix with another share sent to the delay. */
  public Mix withDelay(int percent) {
    return with(copy -> copy.delay = percent);
  }

  /** The same mix with repeats at another distance. */
  public Mix withDelayTime(DelayTime other) {
    return with(copy -> copy.delayTime = other);
  }

  /** The same mix at another width. */
  public Mix withWidth(int percent) {
    return with(copy -> copy.width = percent);
  }

  /** The same mix pushed into the soft clip by tenths of a dB. */
  public Mix withClip(int tenths) {
    return with(copy -> copy.clip = tenths);
  }

  /** The same mix stepping back in another way. */
  public Mix withDuck(Duck other) {
    return with(copy -> copy.duck = other);
  }

  /** The same mix with another rhythmic volume. */
  public Mix withGate(Gate other) {
    return with(copy -> copy.gate = other);
  }

  /** The same mix at the level and place, and with the rhythmic volume, of another. */
  public Mix withPlace(Mix other) {
    return withLevel(other.level).withPan(other.pan).withGate(other.gate);
  }

  /** The same mix with its sends going elsewhere. */
  public Mix withSpace(Space other) {
    return with(copy -> copy.space = other);
  }

  /** The same mix with other things done to it. */
  public Mix withEffects(Effects other) {
    return with(copy -> copy.effects = other);
  }

  private Mix with(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return copy.made();
  }

  /** Its values by their names, so that one of them can be another. */
  private static final class Copy {
    private int level;
    private int pan;
    private int lowCut;
    private int lowPass;
    private int reverb;
    private int delay;
    private DelayTime delayTime;
    private int width;
    private int clip;
    private Duck duck;
    private Gate gate;
    private Space space;
    private Effects effects;

    Copy(Mix from) {
      level = from.level;
      pan = from.pan;
      lowCut = from.lowCut;
      lowPass = from.lowPass;
      reverb = from.reverb;
      delay = from.delay;
      delayTime = from.delayTime;
      width = from.width;
      clip = from.clip;
      duck = from.duck;
      gate = from.gate;
      space = from.space;
      effects = from.effects;
    }

    Mix made() {
      return new Mix(
          level, pan, lowCut, lowPass, reverb, delay, delayTime, width, clip, duck, gate, space,
          effects);
    }
  }
}
