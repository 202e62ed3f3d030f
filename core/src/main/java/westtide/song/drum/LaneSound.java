package westtide.song.drum;

import java.util.function.Consumer;
import westtide.song.mix.Effects;
import westtide.theory.Pitch;

/**
 * How a lane of a drum part sounds, in all its grooves.
 *
 * @param instrument preview instrument it is heard with; empty for the kit's own
 * @param cents how much it is tuned up or down, −2400 to 2400; up is shorter too, as a sampler
 *     plays it
 * @param level tenths of dB against the kit's own level, −300 to 120
 * @param pan steps right (positive) or left of where the kit has it, −100 to 100
 * @param choke group whose members cut one another, 1 to 8; 0 for none
 * @param note MIDI note it is written as, 0 to 127
 * @param reverb share sent to the reverb beside what its part sends, 0 to 100 %
 * @param delay share sent to the delay of its part, 0 to 100 %
 * @param effects what is done to it on its way to the other drums
 * @param sweep how it goes from side to side as the song runs
 * @param reversed whether its sound is played backwards from where the hit stands, as a sampler
 *     does
 */
public record LaneSound(
    String instrument,
    int cents,
    int level,
    int pan,
    int choke,
    int note,
    int reverb,
    int delay,
    Effects effects,
    PanSweep sweep,
    boolean reversed) {
  /** A lane that sends nothing by itself. */
  public LaneSound(String instrument, int cents, int level, int pan, int choke, int note) {
    this(instrument, cents, level, pan, choke, note, 0, 0, Effects.NONE, PanSweep.NONE, false);
  }

  /** Checks every range. */
  public LaneSound {
    check("tuning is", cents, -2400, 2400, " cents");
    check("level is", level, -300, 120, " tenths of dB");
    check("pan moves by", pan, -100, 100, "");
    check("choke group is", choke, 0, 8, "");
    check("MIDI note is", note, 0, 127, "");
    check("reverb is", reverb, 0, 100, " %");
    check("delay is", delay, 0, 100, " %");
  }

  /** As the kit has it: hats choke one another, notes by General MIDI. */
  public static LaneSound of(LaneId lane) {
    return new LaneSound("", 0, 0, 0, lane.voice().choke(), lane.voice().note(lane.number()));
  }

  /** Heard with another instrument; empty for the kit's own. */
  public LaneSound withInstrument(String name) {
    return with(copy -> copy.instrument = name);
  }

  /** Tuned otherwise, in cents. */
  public LaneSound withCents(int other) {
    return with(copy -> copy.cents = other);
  }

  /** Louder or softer, in tenths of dB. */
  public LaneSound withLevel(int tenths) {
    return with(copy -> copy.level = tenths);
  }

  /** Moved to a side. */
  public LaneSound withPan(int steps) {
    return with(copy -> copy.pan = steps);
  }

  /** In another choke group. */
  public LaneSound withChoke(int group) {
    return with(copy -> copy.choke = group);
  }

  /** Written as another MIDI note. */
  public LaneSound withNote(int midi) {
    return with(copy -> copy.note = midi);
  }

  /** Sent to the reverb, 0 to 100 %. */
  public LaneSound withReverb(int percent) {
    return with(copy -> copy.reverb = percent);
  }

  /** Sent to the delay of its part, 0 to 100 %. */
  public LaneSound withDelay(int percent) {
    return with(copy -> copy.delay = percent);
  }

  /** With other things done to it on its way to the other drums. */
  public LaneSound withEffects(Effects other) {
    return with(copy -> copy.effects = other);
  }

  /** Going from side to side otherwise. */
  public LaneSound withSweep(PanSweep other) {
    return with(copy -> copy.sweep = other);
  }

  /** Played backwards or not. */
  public LaneSound withReversed(boolean backwards) {
    return with(copy -> copy.reversed = backwards);
  }

  /** How far right (positive) or left of where the kit has it a hit at a tick of the song is. */
  public int panAt(int tick) {
    return sweep.at(tick, pan);
  }

  /** Whether anything is done to it on its way. */
  public boolean goesThroughEffects() {
    return !effects.equals(Effects.NONE);
  }

  /** The factor by which a hit of some semitones is faster than the untuned drum. */
  public double ratio(int semitones) {
    return Pitch.ratio(cents + 100 * semitones);
  }

  private static void check(String what, int value, int low, int high, String unit) {
    if (value < low || value > high) {
      throw new IllegalArgumentException(
          what + " " + low + " to " + high + unit + ", but was " + value);
    }
  }

  private LaneSound with(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return copy.made();
  }

  /** Its values by their names, so that one of them can be another. */
  private static final class Copy {
    private String instrument;
    private int cents;
    private int level;
    private int pan;
    private int choke;
    private int note;
    private int reverb;
    private int delay;
    private Effects effects;
    private PanSweep sweep;
    private boolean reversed;

    Copy(LaneSound from) {
      instrument = from.instrument;
      cents = from.cents;
      level = from.level;
      pan = from.pan;
      choke = from.choke;
      note = from.note;
      reverb = from.reverb;
      delay = from.delay;
      effects = from.effects;
      sweep = from.sweep;
      reversed = from.reversed;
    }

    LaneSound made() {
      return new LaneSound(
          instrument, cents, level, pan, choke, note, reverb, delay, effects, sweep, reversed);
    }
  }
}
