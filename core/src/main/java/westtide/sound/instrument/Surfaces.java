package westtide.sound.instrument;

import westtide.sound.voice.Filter;
import westtide.sound.voice.Noise;
import westtide.sound.voice.SineTable;
import westtide.sound.voice.Strike;

/** Sounds that lie under or over a section: the noise of a worn record, and a crowd. */
final class Surfaces {
  private static final int PEOPLE = 9;

  private Surfaces() {}

  /** Hiss, a slow rumble and crackle, as long as the note. */
  static float[] record(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    Noise noise = new Noise(241);
    Filter hiss = new Filter(strike.rate()).set(strike.get("tone"), 0.5);
    Filter low = new Filter(strike.rate()).set(70, 0.7);
    Filter tick = new Filter(strike.rate()).set(2600, 0.9);
    double often = strike.get("crackle") / 100.0 * 60 / strike.rate();
    double turn = 0.55 / strike.rate();
    for (int i = 0; i < sample.wave.length; i++) {
      double in = noise.next();
      double round = 0.8 + 0.2 * SineTable.at(i * turn);
      double click = Math.abs(noise.next()) < often ? 2.5 * in * in * in : 0;
      sample.wave[i] = 0.2 * round * hiss.band(in) + 0.5 * low.low(in) + 2.2 * tick.band(click);
    }
    return sample.scale(0.5 + 0.7 * strike.force()).swell(15).table();
  }

  /** Many throats at once: noise through vowels that come and go, loudest in the middle. */
  static float[] crowd(Strike strike) {
    int frames = Math.max(strike.frames(), strike.samples(60));
    Sample sample = new Sample(frames, strike.rate());
    for (int person = 0; person < PEOPLE; person++) {
      Noise noise = new Noise(251 + 17 * person);
      double hertz = 420 * Math.pow(2, person * 0.29);
      Filter mouth = new Filter(strike.rate()).set(hertz, 3.2);
      double waver = (0.7 + 0.31 * person) / strike.rate();
      double phase = 0.13 * person;
      double level = 0.55 * Math.pow(0.86 + 0.1 * strike.force(), person);
      for (int i = 0; i < frames; i++) {
        double now = 0.55 + 0.45 * SineTable.at(phase + i * waver);
        sample.wave[i] += level * now * mouth.band(noise.next());
      }
    }
    for (int i = 0; i < frames; i++) {
      sample.wave[i] *= Math.sin(Math.PI * Math.min(1, (i + 1.0) / frames));
    }
    return sample.drive(2).table();
  }
}
