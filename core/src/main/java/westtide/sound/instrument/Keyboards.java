package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.SineTable;
import westtide.sound.voice.Strike;

/** Electric piano, felt piano, organ and bell. */
final class Keyboards {
  private static final double MIDDLE_C = 261.6256;
  private static final double[] DRAWN = {1, 0.6, 0.4, 0.3, 0, 0.16, 0, 0.12};
  private static final double[] BELL_RATIOS = {1, 2.003, 2.756, 4.07, 5.404, 8.933};
  private static final double[] BELL_LEVELS = {0.62, 0.22, 0.34, 0.16, 0.2, 0.1};

  private Keyboards() {}

  /** A tone whose overtones bloom with the force and fade before it does, under a short tine. */
  static float[] electricPiano(Strike strike) {
    double decay = ring(strike);
    Sample sample = new Sample(Math.min(strike.frames(), strike.samples(decay)), strike.rate());
    double step = strike.hertz() / strike.rate();
    double bloom = 0.25 + 1.5 * strike.force();
    double fall = Fade.perSample(decay, strike.rate());
    double bloomFall = Fade.perSample(0.35 * decay, strike.rate());
    double level = 0.8;
    double phase = 0;
    for (int i = 0; i < sample.wave.length; i++) {
      double bent = phase + 1 + bloom * SineTable.at(phase) / (2 * Math.PI);
      sample.wave[i] = SineTable.at(bent) * level;
      phase += step;
      phase -= (int) phase;
      bloom *= bloomFall;
      level *= fall;
    }
    double tine = strike.get("tine") / 100.0 * strike.force();
    sample.mode(6.27 * strike.hertz(), 260, 0.3 * tine).mode(11.3 * strike.hertz(), 90, 0.2 * tine);
    return sample.swell(1.5).table();
  }

  /** Strings behind felt: few overtones, a soft thump, each partial shorter than the one below. */
  static float[] feltPiano(Strike strike) {
    double decay = ring(strike);
    Sample sample = new Sample(Math.min(strike.frames(), strike.samples(decay)), strike.rate());
    double soft = 0.25 + 0.75 * (1 - strike.force());
    double felt = 0.2 + strike.get("felt") / 100.0;
    double[] hertz = new double[8];
    double[] millis = new double[8];
    double[] levels = new double[8];
    for (int n = 1; n <= 8; n++) {
      hertz[n - 1] = n * strike.hertz() * Math.sqrt(1 + 0.0002 * n * n);
      millis[n - 1] = decay / (1 + 0.35 * (n - 1));
      levels[n - 1] = 0.75 * Math.pow(n, -0.9) * Math.exp(-0.45 * felt * soft * (n - 1));
    }
    sample.modes(hertz, millis, levels);
    new Hiss(sample, 161).burst(0, 3, 70, 80, 500 + 900 * strike.force(), 0.35 * felt);
    return sample.swell(2).table();
  }

  /** Pipes drawn together; the force changes nothing but the click. */
  static float[] organ(Strike strike) {
    Sample sample = new Sample(strike.frames(), strike.rate());
    double bright = strike.get("bright") / 100.0;
    for (int n = 1; n <= DRAWN.length; n++) {
      double level = 0.42 * DRAWN[n - 1] * (n == 1 ? 1 : 0.4 + 0.9 * bright);
      sample.mode(n * strike.hertz(), 1e7, level);
    }
    new Hiss(sample, 171).burst(0, 0.3, 9, 1500, 6000, 0.15 * strike.force());
    return sample.swell(6).table();
  }

  /** Partials of a bell, its strike tone strongest. */
  static float[] bell(Strike strike) {
    double decay = ring(strike);
    Sample sample = new Sample(Math.min(strike.frames(), strike.samples(decay)), strike.rate());
    for (int i = 0; i < BELL_RATIOS.length; i++) {
      double level = BELL_LEVELS[i] * (i == 0 ? 1 : 0.35 + 0.8 * strike.force());
      sample.mode(BELL_RATIOS[i] * strike.hertz(), decay / (1 + 0.5 * i), level);
    }
    return sample.swell(0.5).table();
  }

  private static double ring(Strike strike) {
    double shorter = Math.pow(MIDDLE_C / strike.hertz(), 0.35);
    return strike.get("decay") * Math.max(0.4, Math.min(1.8, shorter));
  }
}
