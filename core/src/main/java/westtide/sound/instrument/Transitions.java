package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Filter;
import westtide.sound.voice.Noise;
import westtide.sound.voice.SineTable;
import westtide.sound.voice.Strike;

/** What leads from one section to the next: riser, sweep down, impact. */
final class Transitions {
  private static final double LOWEST = 250;
  private static final int EVERY = 16;

  private Transitions() {}

  /** Noise that climbs and swells until the note ends. */
  static float[] riser(Strike strike) {
    Sample sample = swept(strike, 201, true);
    for (int i = 0; i < sample.wave.length; i++) {
      double share = Fade.rise(i, sample.wave.length);
      sample.wave[i] *= share * share;
    }
    return sample.table();
  }

  /** Noise that sinks and fades over the note. */
  static float[] down(Strike strike) {
    Sample sample = swept(strike, 211, false);
    for (int i = 0; i < sample.wave.length; i++) {
      double share = 1 - Fade.rise(i, sample.wave.length);
      sample.wave[i] *= share * share;
    }
    return sample.swell(4).table();
  }

  /** A low boom and the crash above it. */
  static float[] impact(Strike strike) {
    double decay = strike.get("decay");
    Sample sample = new Sample(strike.samples(decay), strike.rate());
    double hertz = strike.get("tune");
    double sweepFall = Fade.perSample(500, strike.rate());
    double fall = Fade.perSample(decay, strike.rate());
    double sweep = 1;
    double level = 0.8;
    double phase = 0;
    for (int i = 0; i < sample.wave.length; i++) {
      sample.wave[i] = SineTable.at(phase) * level;
      phase += hertz * (1 + sweep) / strike.rate();
      sweep *= sweepFall;
      level *= fall;
    }
    new Hiss(sample, 221)
        .burst(0, 1, 0.7 * decay, 300, 3000 + 9000 * strike.force(), 0.5)
        .burst(0, 0.3, 60, 100, 4000, 0.5);
    return sample.drive(3).swell(1).table();
  }

  private static Sample swept(Strike strike, int seed, boolean up) {
    int frames = Math.max(strike.frames(), strike.samples(60));
    Sample sample = new Sample(frames, strike.rate());
    Noise noise = new Noise(seed);
    Filter band = new Filter(strike.rate());
    double octaves = Math.log(strike.get("top") / LOWEST) / Math.log(2);
    for (int i = 0; i < frames; i++) {
      if (i % EVERY == 0) {
        double share = i / (double) frames;
        band.set(LOWEST * Math.pow(2, octaves * (up ? share : 1 - share)), 1.3);
      }
      sample.wave[i] = 1.6 * band.band(noise.next());
    }
    return sample;
  }
}
