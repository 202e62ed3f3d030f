package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.SineTable;
import westtide.sound.voice.Strike;

/** Electric piano, felt piano, organ, bell and thumb piano. */
final class Keyboards {
  private static final double MIDDLE_C = 261.6256;
  private static final double[] DRAWN = {1, 0.6, 0.4, 0.3, 0, 0.16, 0, 0.12};
  private static final double[] BELL_RATIOS = {1, 2.003, 2.756, 4.07, 5.404, 8.933};
  private static final double[] BELL_LEVELS = {0.62, 0.22, 0.34, 0.16, 0.2, 0.1};
  private static final int STRINGS = 16;
  private static final double HIGHEST_PARTIAL = 9000;

  private Keyboards() {}

  /**
   * A tone whose overtones bloom with the force and fade before it does, less so high up, beside a
   * twin a hair away, under a short tine and the thump of the key.
   */
  static float[] electricPiano(Strike strike) {
    double decay = ring(strike);
    double force = strike.force();
    Sample sample = new Sample(Math.min(strike.frames(), strike.samples(decay)), strike.rate());
    double low = Math.min(1.5, Math.pow(MIDDLE_C / strike.hertz(), 0.35));
    double step = strike.hertz() / strike.rate();
    double bloom = low * (0.35 + 2.6 * force * force);
    double fall = Fade.perSample(decay, strike.rate());
    double bloomFall = Fade.perSample(0.35 * decay, strike.rate());
    double level = 0.72;
    double phase = 0;
    double twin = 0;
    for (int i = 0; i < sample.wave.length; i++) {
      double bent = phase + 1 + bloom * SineTable.at(phase) / (2 * Math.PI);
      double tone = SineTable.at(bent) + 0.22 * SineTable.at(twin);
      sample.wave[i] = (tone + 0.16 * low * tone * tone) * level;
      phase += step;
      phase -= (int) phase;
      twin += 1.0009 * step;
      twin -= (int) twin;
      bloom *= bloomFall;
      level *= fall;
    }
    double tine = strike.get("tine") / 100.0 * (0.2 + 1.5 * force);
    sample.mode(6.27 * strike.hertz(), 260, 0.3 * tine).mode(11.3 * strike.hertz(), 90, 0.2 * tine);
    new Hiss(sample, 163)
        .burst(0, 0.5, 26, 140, 600 + 1600 * force, 0.1 + 0.16 * force)
        .burst(0, 0.1, 5, 2000, 7000, 0.1 * tine);
    return sample.swell(1.2).table();
  }

  /**
   * Pairs of strings behind felt: each partial a pair that beats, shorter than the one below, the
   * soft hammer, and the key that falls.
   */
  static float[] feltPiano(Strike strike) {
    double decay = ring(strike);
    double force = strike.force();
    Sample sample = new Sample(Math.min(strike.frames(), strike.samples(decay)), strike.rate());
    double felt = 0.2 + strike.get("felt") / 100.0;
    double dull = 0.1 + 0.5 * felt * (1.15 - force);
    int partials = (int) Math.max(2, Math.min(STRINGS, HIGHEST_PARTIAL / strike.hertz()));
    double[] hertz = new double[2 * partials];
    double[] millis = new double[2 * partials];
    double[] levels = new double[2 * partials];
    for (int n = 1; n <= partials; n++) {
      double own = n * strike.hertz() * Math.sqrt((1 + 0.0002 * n * n) / 1.0002);
      double level = 0.7 * Math.pow(n, -0.85) * Math.exp(-dull * (n - 1));
      double place = Math.abs(Math.sin(Math.PI * n / 7.6));
      for (int twin = 0; twin < 2; twin++) {
        int at = 2 * (n - 1) + twin;
        hertz[at] = own * (1 + (twin == 0 ? -0.0002 : 0.00035));
        millis[at] = decay / (1 + 0.3 * (n - 1)) * (twin == 0 ? 1 : 0.55);
        levels[at] = level * (0.45 + 0.9 * place) * (twin == 0 ? 0.75 : 0.35);
      }
    }
    sample.modes(hertz, millis, levels);
    new Hiss(sample, 161)
        .burst(0, 2, 70, 80, 350 + 900 * force, 0.3 * felt)
        .burst(0, 0.6, 24, 500, 1200 + 3800 * force, 0.06 + 0.14 * force);
    sample.mode(92, 110, 0.08 * (0.5 + force));
    return sample.swell(1.5).table();
  }

  /**
   * Pipes drawn together, turning slowly past the ear: pitch and level of the upper ones waver. The
   * force changes nothing but the click of the key.
   */
  static float[] organ(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    double bright = strike.get("bright") / 100.0;
    double step = strike.hertz() / strike.rate();
    double turn = 0.83 / strike.rate();
    double[] shares = new double[DRAWN.length];
    int pipes = (int) Math.max(1, Math.min(DRAWN.length, 0.45 / step));
    for (int i = 0; i < shares.length; i++) {
      shares[i] = 0.42 * DRAWN[i] * (0.4 + 0.9 * bright);
    }
    double phase = 0;
    double turned = 0.11;
    for (int i = 0; i < sample.wave.length; i++) {
      double waver = SineTable.at(turned);
      double lower = 0;
      double sine = SineTable.at(phase);
      double twice = 2 * SineTable.at(phase + 0.25);
      double out = 0.42 * sine;
      for (int n = 2; n <= pipes; n++) {
        double next = twice * sine - lower;
        lower = sine;
        sine = next;
        out += shares[n - 1] * (1 + 0.03 * n * waver) * sine;
      }
      sample.wave[i] = out * (1 + 0.05 * waver);
      phase += step * (1 + 0.0011 * waver);
      turned += turn;
    }
    new Hiss(sample, 171)
        .burst(0, 0.3, 9, 900, 5500, 0.22)
        .burst(0, 0.2, 4, 2500, 9000, 0.25 * strike.force());
    return sample.swell(4).table();
  }

  /** Partials of a bell, each a pair that beats, its strike tone strongest. */
  static float[] bell(Strike strike) {
    double decay = ring(strike);
    double force = strike.force();
    Sample sample = new Sample(Math.min(strike.frames(), strike.samples(decay)), strike.rate());
    int count = 2 * BELL_RATIOS.length;
    double[] hertz = new double[count];
    double[] millis = new double[count];
    double[] levels = new double[count];
    for (int i = 0; i < count; i++) {
      int partial = i / 2;
      boolean twin = i % 2 == 1;
      double level = BELL_LEVELS[partial] * (partial == 0 ? 1 : 0.2 + 1.1 * force);
      hertz[i] = BELL_RATIOS[partial] * strike.hertz() * (twin ? 1.0013 : 1);
      millis[i] = decay / (1 + 0.5 * partial) * (twin ? 0.7 : 1);
      levels[i] = level * (twin ? 0.24 : 0.86);
    }
    sample.modes(hertz, millis, levels);
    new Hiss(sample, 173).burst(0, 0.1, 6, 3000, 6000 + 9000 * force, 0.1 + 0.25 * force);
    return sample.swell(0.4).table();
  }

  /** A metal tongue over a wooden box, plucked with the thumb: overtones far above, and a knock. */
  static float[] thumbPiano(Strike strike) {
    double decay = ring(strike);
    double force = strike.force();
    double buzz = strike.get("buzz") / 100.0;
    Sample sample = new Sample(Math.min(strike.frames(), strike.samples(decay)), strike.rate());
    double hertz = strike.hertz();
    sample.mode(hertz, decay, 0.66);
    sample.mode((1.0018 + 0.0016 * strike.stray(4)) * hertz, 0.6 * decay, 0.18);
    sample.mode(2 * hertz, 0.5 * decay, (0.14 + 0.18 * force) * (1 + 0.9 * strike.stray(3)));
    sample.mode(strike.about(5.42 * hertz, 0.006, 1), 0.14 * decay, 0.05 + 0.3 * force);
    sample.mode(strike.about(9.1 * hertz, 0.006, 2), 0.06 * decay, 0.02 + 0.16 * force);
    sample.mode(3 * hertz, 0.25 * decay, 0.2 * buzz).mode(4 * hertz, 0.2 * decay, 0.16 * buzz);
    new Hiss(sample, strike.seed(175))
        .burst(0, 0.3, 40, 180, 520, 0.3)
        .burst(0, 0.1, 7, 1500, 3000 + 6000 * force, 0.1 + 0.3 * force)
        .burst(0, 2, 0.12 * decay, 2500, 6000, 0.07 * buzz);
    return sample.swell(0.4).table();
  }

  private static double ring(Strike strike) {
    double shorter = Math.pow(MIDDLE_C / strike.hertz(), 0.35);
    return strike.get("decay") * Math.max(0.4, Math.min(1.8, shorter));
  }
}
