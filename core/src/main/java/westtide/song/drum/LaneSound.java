package westtide.song.drum;

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
    return new LaneSound(
        name, cents, level, pan, choke, note, reverb, delay, effects, sweep, reversed);
  }

  /** Tuned otherwise, in cents. */
  public LaneSound withCents(int other) {
    return new LaneSound(
        instrument, other, level, pan, choke, note, reverb, delay, effects, sweep, reversed);
  }

  /** Louder or softer, in tenths of dB. */
  public LaneSound withLevel(int tenths) {
    return new LaneSound(
        instrument, cents, tenths, pan, choke, note, reverb, delay, effects, sweep, reversed);
  }

  /** Moved to a side. */
  public LaneSound withPan(int steps) {
    return new LaneSound(
        instrument, cents, level, steps, choke, note, reverb, delay, effects, sweep, reversed);
  }

  /** In another choke group. */
  public LaneSound withChoke(int group) {
    return new LaneSound(
        instrument, cents, level, pan, group, note, reverb, delay, effects, sweep, reversed);
  }

  /** Written as another MIDI note. */
  public LaneSound withNote(int midi) {
    return new LaneSound(
        instrument, cents, level, pan, choke, midi, reverb, delay, effects, sweep, reversed);
  }

  /** Sent to the reverb, 0 to 100 %. */
  public LaneSound withReverb(int percent) {
    return new LaneSound(
        instrument, cents, level, pan, choke, note, percent, delay, effects, sweep, reversed);
  }

  /** Sent to the delay of its part, 0 to 100 %. */
  public LaneSound withDelay(int percent) {
    return new LaneSound(
        instrument, cents, level, pan, choke, note, reverb, percent, effects, sweep, reversed);
  }

  /** With other things done to it on its way to the other drums. */
  public LaneSound withEffects(Effects other) {
    return new LaneSound(
        instrument, cents, level, pan, choke, note, reverb, delay, other, sweep, reversed);
  }

  /** Going from side to side otherwise. */
  public LaneSound withSweep(PanSweep other) {
    return new LaneSound(
        instrument, cents, level, pan, choke, note, reverb, delay, effects, other, reversed);
  }

  /** Played backwards or not. */
  public LaneSound withReversed(boolean backwards) {
    return new LaneSound(
        instrument, cents, level, pan, choke, note, reverb, delay, effects, sweep, backwards);
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
}
