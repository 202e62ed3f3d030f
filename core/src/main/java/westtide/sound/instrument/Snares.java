package westtide.sound.instrument;

import westtide.sound.voice.Strike;

/** Snares, claps, rims and sticks. */
final class Snares {
  private Snares() {}

  /** Two modes of the skin and the rattle of the wires below it. */
  static float[] snare(Strike strike) {
    double decay = strike.get("decay");
    double hertz = strike.get("tune") * strike.shift();
    double wires = strike.get("wires") / 100.0;
    Sample sample = new Sample(strike.samples(decay + 40), strike.rate());
    sample.mode(hertz, 0.55 * decay, 0.6).mode(1.79 * hertz, 0.35 * decay, 0.35);
    sample.mode(2.6 * hertz, 0.15 * decay, 0.2 * strike.force());
    double bright = 4500 + 9000 * strike.force();
    new Hiss(sample, 21)
        .burst(0, 0.3, decay, 900, bright, wires)
        .burst(0, 0.1, 18, 2500, 14000, 0.6 * strike.force());
    return sample.drive(3).scale(0.9).table();
  }

  /** Several hands a few milliseconds apart, then the room. */
  static float[] clap(Strike strike) {
    double decay = strike.get("decay");
    int hands = strike.get("hands");
    int apart = strike.samples(strike.get("spread") / (double) hands);
    double tone = strike.get("tone") * strike.shift();
    double bright = tone * (3 + 3 * strike.force());
    Sample sample = new Sample(hands * apart + strike.samples(decay + 40), strike.rate());
    for (int hand = 0; hand < hands; hand++) {
      new Hiss(sample, 31 + hand).burst(hand * apart, 0.2, 22, 0.6 * tone, bright, 1.3);
    }
    new Hiss(sample, 41).burst((hands - 1) * apart, 0.5, decay, 0.75 * tone, bright, 0.9);
    return sample.drive(2).scale(0.9).table();
  }

  /** The stick on the edge: short high modes. */
  static float[] rim(Strike strike) {
    double decay = strike.get("decay");
    double hertz = strike.get("tune") * strike.shift();
    Sample sample = new Sample(strike.samples(decay + 20), strike.rate());
    sample.mode(hertz, decay, 0.5).mode(2.23 * hertz, 0.7 * decay, 0.4);
    sample.mode(3.61 * hertz, 0.5 * decay, 0.15 + 0.3 * strike.force());
    new Hiss(sample, 51).burst(0, 0.1, 8, 1500, 9000, 0.5);
    return sample.drive(3).table();
  }

  /** Two sticks, as they count a band in. */
  static float[] stick(Strike strike) {
    double hertz = strike.get("tune") * strike.shift();
    double decay = strike.get("decay");
    Sample sample = new Sample(strike.samples(decay + 20), strike.rate());
    sample.mode(hertz, decay, 0.5).mode(1.47 * hertz, 0.8 * decay, 0.3);
    sample.mode(2.71 * hertz, 0.4 * decay, 0.25 * strike.force());
    new Hiss(sample, 52).burst(0, 0.1, 4, 2000, 12000, 0.4);
    return sample.table();
  }
}
