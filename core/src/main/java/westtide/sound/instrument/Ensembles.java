package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Filter;
import westtide.sound.voice.Noise;
import westtide.sound.voice.PitchPath;
import westtide.sound.voice.Saw;
import westtide.sound.voice.SineTable;
import westtide.sound.voice.Strike;

/** Sustained voices: pad, strings, brass, lead, flute, stab and a resonant line. */
final class Ensembles {
  private static final int SLOW = 16;

  private Ensembles() {}

  /** Five saws around the note, dull and slow. */
  static float[] pad(Strike strike) {
    double wide = strike.get("detune");
    Sample sample = saws(strike, 0, 0.2, 0, -wide, -0.43 * wide, 0.57 * wide, 1.09 * wide);
    Sweep.opening(strike, strike.get("tone"), 1.2, 3 * strike.get("attack")).low(sample.wave);
    return sample.scale(0.9).swell(strike.get("attack")).table();
  }

  /** Desks of strings, the outer ones with vibrato, and the noise of the bows. */
  static float[] strings(Strike strike) {
    Sample sample = saws(strike, strike.get("vibrato"), 0.26, 0, -6, -2.6, 3.4, 7.1);
    Noise noise = new Noise(195);
    Filter bow = new Filter(strike.rate()).set(Math.min(9000, 5 * strike.hertz()), 0.6);
    double rough = 0.03 + 0.07 * strike.force();
    for (int i = 0; i < sample.wave.length; i++) {
      sample.wave[i] += rough * bow.band(noise.next());
    }
    Sweep.opening(strike, strike.get("tone"), 0.8, 2 * strike.get("attack")).low(sample.wave);
    return sample.scale(1.05).swell(strike.get("attack")).table();
  }

  /** Brass-like: the harder, the further it opens, with the burst of the lips. */
  static float[] brass(Strike strike) {
    Sample sample = saws(strike, 4, 0.3, 0, -3.4, 4.3);
    Sweep.opening(strike, strike.get("tone"), 2.2 + strike.force(), 150).low(sample.wave);
    lips(sample, strike, 0);
    return sample.scale(1.05).swell(strike.get("attack")).table();
  }

  /** Three horns that do not come in together, each opening by itself. */
  static float[] horns(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    double[] cents = {0, -5.5, 4.6};
    double spread = strike.get("spread") / 2.0;
    for (int horn = 0; horn < cents.length; horn++) {
      int from = strike.samples(spread * horn * (1.2 - 0.4 * strike.force()));
      Saw wave = new Saw(0.5);
      Sweep tone = Sweep.opening(strike, strike.get("tone"), 2.4 + 0.3 * horn, 90 + 40 * horn);
      Vibrato vibrato = new Vibrato(strike, 5 + 2 * horn, 4.9 + 0.4 * horn);
      double step = strike.hertz() * Math.pow(2, cents[horn] / 1200) / strike.rate();
      int rise = strike.samples(strike.get("attack"));
      double level = horn == 0 ? 0.62 : 0.34;
      for (int i = from; i < sample.wave.length; i++) {
        double own = tone.low(wave.saw(step * vibrato.next()));
        sample.wave[i] += level * Fade.rise(i - from, rise) * own;
      }
      lips(sample, strike, from);
    }
    return sample.table();
  }

  /** A synthesizer's brass that opens slowly and grows as it does. */
  static float[] brassSwell(Strike strike) {
    double attack = strike.get("attack");
    Sample sample = saws(strike, 0, 0.3, 0, -7, 6.1);
    Sweep tone = Sweep.opening(strike, strike.get("tone"), 3.4, 2.2 * attack);
    tone.low(sample.wave);
    int rise = strike.samples(attack);
    for (int i = 0; i < sample.wave.length; i++) {
      sample.wave[i] *= 0.25 + 0.75 * Fade.rise(i, rise);
    }
    return sample.swell(12).table();
  }

  /** A short chord-like hit. */
  static float[] stab(Strike strike) {
    Sample sample = saws(strike, 0, 0.4, 0, -8, 7);
    double fall = Fade.perSample(strike.get("decay"), strike.rate());
    double level = 1.1;
    Sweep tone = Sweep.falling(strike, strike.get("tone"), 1.8, 0.6 * strike.get("decay"));
    tone.low(sample.wave);
    for (int i = 0; i < sample.wave.length; i++) {
      sample.wave[i] *= level;
      level *= fall;
    }
    return sample.swell(1).table();
  }

  /** A lead that glides between touching notes; its pulse grows wider and narrower. */
  static float[] lead(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    PitchPath path = new PitchPath(strike, strike.get("glide"));
    Vibrato vibrato = new Vibrato(strike, strike.get("vibrato"), Vibrato.USUAL_HERTZ);
    Saw saw = new Saw(0.5);
    Saw pulse = new Saw(0.5);
    Sweep tone = Sweep.falling(strike, strike.get("tone"), 1 + strike.force(), 300);
    for (int i = 0; i < sample.wave.length; i++) {
      double step = path.next() * vibrato.next() / strike.rate();
      double share = 0.34 + 0.1 * SineTable.at(0.37 * i / strike.rate());
      sample.wave[i] = tone.low(0.42 * saw.saw(step) + 0.26 * pulse.pulse(1.0008 * step, share));
    }
    new Hiss(sample, 193).burst(0, 0.2, 5, 2000, 8000, 0.12 * strike.force());
    return sample.scale(1.1).swell(3).table();
  }

  /** One saw through a steep, ringing filter that snaps shut; hard notes are accents. */
  static float[] resonant(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    PitchPath path = new PitchPath(strike, strike.get("glide"));
    Saw saw = new Saw(0.5);
    Filter first = new Filter(strike.rate());
    Filter second = new Filter(strike.rate());
    double accent = strike.force() * strike.force();
    double octaves = 1.2 + 3.2 * accent;
    double ring = 0.8 + strike.get("ring") / 100.0 * (4 + 6 * accent);
    double fall = Math.pow(Fade.perSample(strike.get("decay"), strike.rate()), SLOW);
    double settled = strike.get("tone");
    double away = 1;
    for (int i = 0; i < sample.wave.length; i++) {
      if (i % SLOW == 0) {
        double cutoff = settled * Math.pow(2, octaves * away);
        first.set(cutoff, 0.6);
        second.set(cutoff, ring);
        away *= fall;
      }
      double wave = 0.6 * saw.saw(path.next() / strike.rate());
      sample.wave[i] = second.low(first.low(wave));
    }
    return sample.drive(3 + 6 * accent).scale(0.9).swell(1.5).table();
  }

  /** A flute: the chiff of the attack, a tone that fills with force, and breath that moves. */
  static float[] flute(Strike strike) {
    double force = strike.force();
    Sample sample = new Sample(strike.frames(), strike.rate());
    PitchPath path = new PitchPath(strike, strike.get("glide"));
    Vibrato vibrato = new Vibrato(strike, strike.get("vibrato"), Vibrato.USUAL_HERTZ);
    Noise noise = new Noise(191);
    Filter air = new Filter(strike.rate()).set(2.1 * strike.hertz(), 1.1);
    Filter hiss = new Filter(strike.rate()).set(Math.min(7000, 6 * strike.hertz()), 0.7);
    double breath = strike.get("breath") / 100.0 * (0.35 + 0.75 * force);
    double bright = 0.04 + 0.42 * force;
    double speaks = 1;
    double fall = Fade.perSample(160, strike.rate());
    double phase = 0;
    for (int i = 0; i < sample.wave.length; i++) {
      double swell = 1 + vibrato.swing();
      double first = SineTable.at(phase);
      double twice = 2 * SineTable.at(phase + 0.25);
      double second = twice * first;
      double third = twice * second - first;
      double fourth = twice * third - second;
      double tone = (1 - 0.35 * speaks) * first;
      tone += bright * (1 + 1.2 * speaks) * swell * second;
      tone += 0.45 * bright * swell * third;
      tone += 0.2 * bright * bright * fourth;
      double blown = noise.next();
      double wind = 0.3 * air.band(blown) + 0.12 * hiss.band(blown);
      sample.wave[i] = 0.7 * tone * swell + breath * (0.7 + 2.4 * speaks) * wind;
      phase += path.next() * vibrato.next() / strike.rate();
      speaks *= fall;
    }
    return sample.swell(strike.get("attack")).table();
  }

  /**
   * Saws at distances in cents around the first of them, which carries the tone so that it never
   * cancels; each of the others has a level and all but the first share a vibrato.
   */
  private static Sample saws(Strike strike, int vibratoCents, double level, double... cents) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    double step = strike.hertz() / strike.rate();
    for (int s = 0; s < cents.length; s++) {
      Saw wave = new Saw(0.5 + 0.045 * s);
      double own = step * Math.pow(2, cents[s] / 1200);
      double share = 0.62 * (s == 0 ? 1 : level);
      Vibrato vibrato =
          new Vibrato(strike, s == 0 ? 0 : vibratoCents, Vibrato.USUAL_HERTZ + 0.23 * s);
      vibrato.add(wave, sample.wave, share, own);
    }
    return sample;
  }

  private static void lips(Sample sample, Strike strike, int from) {
    double force = strike.force();
    new Hiss(sample, 197)
        .burst(from, 4, 60, 600, 1500 + 4000 * force, 0.1 * force)
        .burst(from, 8, 30, 180, 700, 0.12 * force);
  }
}
