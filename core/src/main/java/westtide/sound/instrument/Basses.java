package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Filter;
import westtide.sound.voice.Noise;
import westtide.sound.voice.PitchPath;
import westtide.sound.voice.Saw;
import westtide.sound.voice.SineTable;
import westtide.sound.voice.Strike;

/** The low end: 808, sub, synth basses and the log drum. The finger bass is a plucked string. */
final class Basses {
  private static final double EDGE_HERTZ = 420;

  /** The note that is heard well with the edge as it is; lower ones get more of it. */
  private static final double EDGE_FULL_AT = 55;

  private Basses() {}

  /**
   * A long sine that drops onto its note. Driven, it is bent softly for weight, and its overtones
   * above the bass are made again by a harder bend and added, which is what small speakers hear.
   */
  static float[] eightOhEight(Strike strike) {
    double decay = strike.get("decay");
    double force = strike.force();
    Sample sample = new Sample(Math.min(strike.frames(), strike.samples(decay)), strike.rate());
    falling(sample, strike, strike.get("drop"), 90, decay, strike.get("glide"));
    double drive = strike.get("drive") * (0.7 + 0.4 * force);
    edge(sample, strike.hertz(), drive, strike.get("tone") * (0.6 + 0.6 * force));
    double click = strike.get("click") / 100.0 * (0.3 + 0.7 * force);
    new Hiss(sample, 141).burst(0, 0.2, 10, 1200, 3000 + 6000 * force, 0.6 * click);
    return sample.scale(0.8).drive(0).swell(1).table();
  }

  private static void edge(Sample sample, double hertz, double drive, double tone) {
    double level = 1.3 * Math.min(1, drive / 8) * Math.pow(EDGE_FULL_AT / hertz, 0.8);
    Sample sharp = new Sample(sample.wave.length, sample.rate);
    for (int i = 0; i < sample.wave.length; i++) {
      double in = sample.wave[i];
      sharp.wave[i] = in + 0.3 * in * in;
    }
    sharp.drive(drive + 18);
    sample.drive(drive);
    Filter soft = new Filter(sample.rate).set(tone, 0.7);
    Filter bright = new Filter(sample.rate).set(1.5 * tone, 0.7);
    Filter above = new Filter(sample.rate).set(EDGE_HERTZ, 0.7);
    for (int i = 0; i < sample.wave.length; i++) {
      sample.wave[i] = soft.low(sample.wave[i]) + level * bright.low(above.high(sharp.wave[i]));
    }
  }

  /** A sine and a little of its octave, for as long as the note lasts. */
  static float[] sub(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    PitchPath path = new PitchPath(strike, strike.get("glide"));
    double octave = strike.get("octave") / 100.0 * (0.3 + 0.9 * strike.force());
    double third = 0.35 * octave * strike.force();
    double phase = 0;
    for (int i = 0; i < sample.wave.length; i++) {
      double tone = SineTable.at(phase) + octave * SineTable.at(2 * phase);
      sample.wave[i] = 0.85 * (tone + third * SineTable.at(3 * phase));
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
    Saw left = new Saw(0.5);
    Saw right = new Saw(0.56);
    Sweep before = Sweep.falling(strike, 2.2 * strike.get("tone"), 0.8, 400);
    double phase = 0;
    for (int i = 0; i < sample.wave.length; i++) {
      double step = path.next() / strike.rate();
      double in = 0.55 * left.saw(step) + 0.22 * right.saw(1.0023 * step);
      sample.wave[i] = before.low(in) + 0.6 * SineTable.at(phase);
      phase += step;
    }
    sample.drive(strike.get("drive"));
    Sweep tone = Sweep.falling(strike, strike.get("tone"), 1.2, 400);
    for (int i = 0; i < sample.wave.length; i++) {
      sample.wave[i] = 0.85 * tone.low(sample.wave[i]);
    }
    return sample.swell(2).table();
  }

  /** A low tone and the rumble a kick leaves in a hall: dull noise that breathes with it. */
  static float[] rumble(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    PitchPath path = new PitchPath(strike, strike.get("glide"));
    Noise noise = new Noise(strike.seed(143));
    double tone = strike.get("tone") * (0.6 + 0.6 * strike.force());
    Filter band = new Filter(strike.rate()).set((1.1 + 0.9 * strike.force()) * strike.hertz(), 2.2);
    Filter dull = new Filter(strike.rate()).set(tone, 0.7);
    double dirt = strike.get("dirt") / 100.0;
    double full = 0.1 + 0.4 * strike.force();
    double phase = 0;
    for (int i = 0; i < sample.wave.length; i++) {
      double breath = 0.75 + 0.25 * SineTable.at(2.1 * i / strike.rate());
      double low = SineTable.at(phase) + full * SineTable.at(2 * phase + 0.2);
      sample.wave[i] = 0.5 * low + breath * (0.4 + 2.4 * dirt) * dull.low(band.band(noise.next()));
      phase += path.next() / strike.rate();
    }
    return sample.drive(2 + 8 * dirt).swell(12).table();
  }

  /** A hollow log: a struck low tone whose pitch settles, with the knock of the wood. */
  static float[] logDrum(Strike strike) {
    double decay = strike.get("decay");
    double force = strike.force();
    int natural = strike.samples(decay);
    Sample sample = new Sample(Math.min(strike.frames(), natural), strike.rate());
    falling(
        sample, strike, strike.get("drop"), strike.about(70, 0.22, 3), decay, strike.get("glide"));
    double hertz = strike.hertz();
    sample.mode(strike.about(2 * hertz, 0.004, 4), 0.3 * decay, 0.2 + 0.3 * force);
    sample.mode(strike.about(3.1 * hertz, 0.006, 1), 0.16 * decay, 0.05 + 0.15 * force);
    sample.mode(strike.about(4.2 * hertz, 0.006, 2), 60, 0.35 * force);
    new Hiss(sample, strike.seed(151))
        .burst(0, 0.2, 14, 400, 1500 + 4000 * force, 0.2 + 0.4 * force);
    return sample.drive(strike.get("drive") * (0.6 + 0.5 * force)).swell(1).table();
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
