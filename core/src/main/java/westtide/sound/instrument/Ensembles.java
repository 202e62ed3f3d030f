package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Filter;
import westtide.sound.voice.Noise;
import westtide.sound.voice.PitchPath;
import westtide.sound.voice.Saw;
import westtide.sound.voice.SineTable;
import westtide.sound.voice.Strike;

/** Sustained voices: pad, strings, brass, lead, flute and stab. */
final class Ensembles {
  private static final double VIBRATO_HERTZ = 5.3;

  private Ensembles() {}

  /** Five saws around the note, dull and slow. */
  static float[] pad(Strike strike) {
    double wide = strike.get("detune");
    Sample sample = saws(strike, 0, -wide, -0.45 * wide, 0, 0.5 * wide, wide);
    through(sample, Sweep.opening(strike, strike.get("tone"), 1.2, 3 * strike.get("attack")));
    return sample.scale(0.9).swell(strike.get("attack")).table();
  }

  /** Three desks of strings, two of them with vibrato. */
  static float[] strings(Strike strike) {
    Sample sample = saws(strike, strike.get("vibrato"), -5, 0, 6);
    through(sample, Sweep.opening(strike, strike.get("tone"), 0.8, 2 * strike.get("attack")));
    return sample.scale(1.05).swell(strike.get("attack")).table();
  }

  /** Brass-like: the harder, the further it opens. */
  static float[] brass(Strike strike) {
    Sample sample = saws(strike, 0, -3, 0, 4);
    through(sample, Sweep.opening(strike, strike.get("tone"), 2.6, 180));
    return sample.scale(1.05).swell(strike.get("attack")).table();
  }

  /** A short chord-like hit. */
  static float[] stab(Strike strike) {
    Sample sample = saws(strike, 0, -8, 0, 7);
    double fall = Fade.perSample(strike.get("decay"), strike.rate());
    double level = 1.1;
    Sweep tone = Sweep.falling(strike, strike.get("tone"), 1.8, 0.6 * strike.get("decay"));
    for (int i = 0; i < sample.wave.length; i++) {
      sample.wave[i] = tone.low(sample.wave[i]) * level;
      level *= fall;
    }
    return sample.swell(1).table();
  }

  /** A lead that glides between touching notes. */
  static float[] lead(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    PitchPath path = new PitchPath(strike, strike.get("glide"));
    Vibrato vibrato = new Vibrato(strike, strike.get("vibrato"));
    Saw saw = new Saw(0);
    Saw pulse = new Saw(0.2);
    Sweep tone = Sweep.falling(strike, strike.get("tone"), 1, 300);
    for (int i = 0; i < sample.wave.length; i++) {
      double step = path.next() * vibrato.next() / strike.rate();
      sample.wave[i] = tone.low(0.4 * saw.saw(step) + 0.3 * pulse.pulse(step, 0.31));
    }
    return sample.scale(1.1).swell(4).table();
  }

  /** A soft flute: nearly a sine, and breath. */
  static float[] flute(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    PitchPath path = new PitchPath(strike, strike.get("glide"));
    Vibrato vibrato = new Vibrato(strike, strike.get("vibrato"));
    Noise noise = new Noise(191);
    Filter air = new Filter(strike.rate()).set(2.1 * strike.hertz(), 1.5);
    double breath = 0.25 * strike.get("breath") / 100.0;
    double bright = 0.1 + 0.2 * strike.force();
    double phase = 0;
    for (int i = 0; i < sample.wave.length; i++) {
      double tone = SineTable.at(phase) + bright * SineTable.at(2 * phase);
      tone += 0.4 * bright * SineTable.at(3 * phase);
      sample.wave[i] = 0.7 * tone + breath * air.band(noise.next());
      phase += path.next() * vibrato.next() / strike.rate();
    }
    return sample.swell(strike.get("attack")).table();
  }

  /** Saws at distances in cents; all but the middle one share a vibrato. */
  private static Sample saws(Strike strike, int vibratoCents, double... cents) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    double step = strike.hertz() / strike.rate();
    for (int s = 0; s < cents.length; s++) {
      Saw wave = new Saw((s * 0.37 + 0.11) % 1);
      boolean middle = cents[s] == 0;
      double own = step * Math.pow(2, cents[s] / 1200);
      double level = (middle ? 0.7 : 0.4) / Math.sqrt(cents.length);
      Vibrato vibrato = new Vibrato(strike, middle ? 0 : vibratoCents);
      for (int i = 0; i < sample.wave.length; i++) {
        sample.wave[i] += level * wave.saw(own * vibrato.next());
      }
    }
    return sample;
  }

  private static void through(Sample sample, Sweep tone) {
    for (int i = 0; i < sample.wave.length; i++) {
      sample.wave[i] = tone.low(sample.wave[i]);
    }
  }

  /** A slow wavering of the pitch that sets in after the attack. */
  private static final class Vibrato {
    private static final double SET_IN_MILLIS = 450;

    private final double depth;
    private final double step;
    private final int rise;
    private double phase;
    private int frame;

    Vibrato(Strike strike, int cents) {
      depth = cents / 1200.0 * Math.log(2);
      step = VIBRATO_HERTZ / strike.rate();
      rise = strike.samples(SET_IN_MILLIS);
    }

    double next() {
      if (depth == 0) {
        return 1;
      }
      double factor = 1 + depth * Fade.rise(frame++, rise) * SineTable.at(phase);
      phase += step;
      return factor;
    }
  }
}
