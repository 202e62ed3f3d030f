package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Filter;
import westtide.sound.voice.Saw;
import westtide.sound.voice.Strike;

/** Hand drums, shakers, bells, blocks and a zap. */
final class Percussions {
  private static final double ZAP_SEMITONES = 54;
  private static final double[] COWBELL = {2.09, 2.94, 3.61, 4.87, 6.23};

  private Percussions() {}

  /** A conga: the skin, the air in the shell below it, and a slap that grows with the force. */
  static float[] conga(Strike strike) {
    double decay = strike.get("decay");
    double hertz = strike.get("tune") * strike.shift();
    double force = strike.force();
    Sample sample = new Sample(strike.samples(decay + 30), strike.rate());
    sample.falling(hertz, 0.5 + force + 0.4 * strike.stray(5), 55, decay).scale(0.6);
    Membrane.ring(sample, strike, 0.55 * decay, 0.3 + 0.15 * force);
    sample.mode(0.62 * hertz, 0.5 * decay, 0.14);
    new Hiss(sample, strike.seed(101))
        .burst(0, 0.3, 30, 350, 1400 + 2200 * force, 0.4)
        .burst(0, 0.2, 14, 1600, 3500 + 6500 * force, 0.12 + 0.5 * force);
    return sample.drive(2).scale(0.85).table();
  }

  /** A shaker: grains forth, and softer ones back. */
  static float[] shaker(Strike strike) {
    double decay = strike.get("decay");
    Sample sample = new Sample(strike.samples(1.5 * decay + 40), strike.rate());
    double low = strike.about(strike.get("tone") * strike.shift(), 0.03, 1);
    double force = strike.force();
    new Hiss(sample, strike.seed(111))
        .burst(0, 0.25 * decay, decay, 0.9 * low, 5500 + 10500 * force, 0.2 + 0.7 * force)
        .beads(0, 0.25 * decay, 1.1 * decay, (0.85 + 0.5 * force) * low, 9000, 2 + force)
        .beads(strike.samples(0.5 * decay), 0.1 * decay, 0.7 * decay, low, 5000, 0.9 + 0.4 * force);
    sample.below(low * (1 + 2.2 * force), 0.6);
    return sample.scale(0.8).table();
  }

  /** A gourd in a net of beads: larger beads, and the hollow of the gourd. */
  static float[] shekere(Strike strike) {
    double decay = strike.get("decay");
    double low = strike.about(strike.get("tone") * strike.shift(), 0.03, 1);
    double force = strike.force();
    Sample sample = new Sample(strike.samples(1.6 * decay + 60), strike.rate());
    sample.mode(0.085 * low, 0.6 * decay, 0.25 * (0.3 + force));
    sample.mode(0.21 * low, 0.4 * decay, 0.12 * force);
    new Hiss(sample, strike.seed(113))
        .beads(0, 6, decay, (0.85 + 0.4 * force) * low, 2600, 4 + 2 * force)
        .beads(0, 2, 0.5 * decay, 2.1 * low, 1200 + 3000 * force, 1 + 2.4 * force)
        .beads(strike.samples(0.55 * decay), 5, 0.8 * decay, 0.92 * low, 1400, 2.2)
        .burst(0, 3, 0.5 * decay, 0.8 * low, 2.6 * low, 0.2 + 0.2 * force);
    sample.below(low * (1.1 + 2.6 * force), 0.6);
    return sample.drive(2).scale(0.8).table();
  }

  /** A cowbell: the two modes it is known by, and the plate's others above them. */
  static float[] cowbell(Strike strike) {
    double decay = strike.get("decay");
    double hertz = strike.get("tune") * strike.shift();
    double force = strike.force();
    Sample sample = new Sample(strike.samples(decay + 20), strike.rate());
    Saw low = new Saw(0);
    Saw high = new Saw(0.3);
    Filter band = new Filter(strike.rate()).set(1.5 * hertz, 0.6);
    Filter soft = new Filter(strike.rate()).set(hertz * (0.9 + 15 * force), 0.7);
    double one = strike.about(hertz, 0.005, 7);
    double fall = Fade.perSample(decay, strike.rate());
    double quick = Fade.perSample(0.2 * decay, strike.rate());
    double level = 0.6;
    double struck = 0.1 + 0.7 * force;
    for (int i = 0; i < sample.wave.length; i++) {
      double in = low.pulse(one / strike.rate(), 0.5);
      in += high.pulse(1.473 * hertz / strike.rate(), 0.42);
      sample.wave[i] = soft.low(band.band(in)) * (level + struck);
      level *= fall;
      struck *= quick;
    }
    for (int i = 0; i < COWBELL.length; i++) {
      double own = strike.about(COWBELL[i] * hertz, 0.01, i);
      sample.mode(own, decay * (0.5 - 0.07 * i), 0.28 * force * (1 - 0.12 * i));
    }
    new Hiss(sample, strike.seed(121)).burst(0, 0.1, 7, 1500, 9000, 0.15 + 0.3 * force);
    return sample.scale(0.7).table();
  }

  /** A wood block: two hollow modes, the knock of the stick and the grain of the wood. */
  static float[] block(Strike strike) {
    double decay = strike.get("decay");
    double hertz = strike.get("tune") * strike.shift();
    double force = strike.force();
    Sample sample = new Sample(strike.samples(decay + 20), strike.rate());
    sample
        .mode(strike.about(hertz, 0.004, 5), decay, 0.6)
        .mode(strike.about(1.64 * hertz, 0.01, 1), 0.55 * decay, 0.25);
    sample.mode(strike.about(2.48 * hertz, 0.01, 2), 0.3 * decay, 0.04 + 0.22 * force);
    sample.mode(strike.about(3.9 * hertz, 0.01, 3), 0.2 * decay, 0.02 + 0.16 * force);
    new Hiss(sample, strike.seed(131))
        .burst(0, 0.1, 5, 1200, 2500 + 8500 * force, 0.45)
        .burst(0, 0.2, 0.5 * decay, 0.8 * hertz, 2.2 * hertz, 0.15);
    return sample.table();
  }

  /** A tone that falls from high to its tuning in a moment. */
  static float[] zap(Strike strike) {
    double decay = strike.get("decay");
    Sample sample = new Sample(strike.samples(decay + 20), strike.rate());
    double hertz = strike.get("tune") * strike.shift();
    double sweep = strike.about(strike.get("sweep"), 0.04, 1);
    sample.falling(hertz, ZAP_SEMITONES * (0.8 + 0.2 * strike.force()), sweep, decay);
    return sample.drive(2 + 12 * strike.force()).table();
  }
}
