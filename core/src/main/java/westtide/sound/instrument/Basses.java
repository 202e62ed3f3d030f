package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Filter;
import westtide.sound.voice.PitchPath;
import westtide.sound.voice.Saw;
import westtide.sound.voice.SineTable;
import westtide.sound.voice.Strike;

/** The low end: 808, sub, synth basses and the log drum. The finger bass is a plucked string. */
final class Basses {
  private Basses() {}

  /** A long sine that drops onto its note, driven until small speakers hear it. */
  static float[] eightOhEight(Strike strike) {
    double decay = strike.get("decay");
    Sample sample = new Sample(Math.min(strike.frames(), strike.samples(decay)), strike.rate());
    falling(sample, strike, strike.get("drop"), 90, decay, strike.get("glide"));
    sample.drive(strike.get("drive"));
    Filter tone = new Filter(strike.rate()).set(strike.get("tone"), 0.7);
    for (int i = 0; i < sample.wave.length; i++) {
      sample.wave[i] = tone.low(sample.wave[i]);
    }
    double click = strike.get("click") / 100.0 * (0.4 + 0.6 * strike.force());
    new Hiss(sample, 141).burst(0, 0.2, 10, 1200, 7000, 0.6 * click);
    return sample.swell(1).table();
  }

  /** A sine and a little of its octave, for as long as the note lasts. */
  static float[] sub(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    PitchPath path = new PitchPath(strike, strike.get("glide"));
    double octave = strike.get("octave") / 100.0 * (0.5 + 0.5 * strike.force());
    double phase = 0;
    for (int i = 0; i < sample.wave.length; i++) {
      sample.wave[i] = 0.85 * (SineTable.at(phase) + octave * SineTable.at(2 * phase));
      phase += path.next() / strike.rate();
    }
    return sample.swell(5).table();
  }

  /** A square wave through a filter that closes after the attack. */
  static float[] square(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    PitchPath path = new PitchPath(strike, strike.get("glide"));
    Saw wave = new Saw(0.25);
    Sweep tone = Sweep.falling(strike, strike.get("tone"), 2.2, 260);
    for (int i = 0; i < sample.wave.length; i++) {
      sample.wave[i] = 0.75 * tone.low(wave.pulse(path.next() / strike.rate(), 0.5));
    }
    return sample.swell(2).table();
  }

  /** Two saws and a sine below them, overdriven. */
  static float[] driven(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    PitchPath path = new PitchPath(strike, strike.get("glide"));
    Saw left = new Saw(0);
    Saw right = new Saw(0.4);
    double phase = 0;
    for (int i = 0; i < sample.wave.length; i++) {
      double step = path.next() / strike.rate();
      sample.wave[i] = 0.5 * left.saw(step) + 0.3 * right.saw(1.0023 * step);
      sample.wave[i] += 0.6 * SineTable.at(phase);
      phase += step;
    }
    sample.drive(strike.get("drive"));
    Sweep tone = Sweep.falling(strike, strike.get("tone"), 1.2, 400);
    for (int i = 0; i < sample.wave.length; i++) {
      sample.wave[i] = 0.85 * tone.low(sample.wave[i]);
    }
    return sample.swell(2).table();
  }

  /** A hollow log: a struck low tone whose pitch settles, with the knock of the wood. */
  static float[] logDrum(Strike strike) {
    double decay = strike.get("decay");
    int natural = strike.samples(decay);
    Sample sample = new Sample(Math.min(strike.frames(), natural), strike.rate());
    falling(sample, strike, strike.get("drop"), 70, decay, strike.get("glide"));
    double hertz = strike.hertz();
    sample.mode(2 * hertz, 0.3 * decay, 0.35 * (0.4 + 0.6 * strike.force()));
    sample.mode(4.2 * hertz, 60, 0.3 * strike.force());
    new Hiss(sample, 151).burst(0, 0.2, 14, 400, 3500, 0.5 * strike.force());
    return sample.drive(strike.get("drive")).swell(1).table();
  }

  private static void falling(
      Sample sample, Strike strike, double drop, double dropMillis, double decay, int glide) {
    PitchPath path = new PitchPath(strike, glide);
    double sweepFall = Fade.perSample(dropMillis, strike.rate());
    double fall = Fade.perSample(decay, strike.rate());
    double sweep = 1;
    double level = 1;
    double phase = 0;
    for (int i = 0; i < sample.wave.length; i++) {
      sample.wave[i] = SineTable.at(phase) * level;
      double bend = sweep > 1e-4 ? Math.pow(2, drop * sweep / 12) : 1;
      phase += path.next() * bend / strike.rate();
      sweep *= sweepFall;
      level *= fall;
    }
  }
}
