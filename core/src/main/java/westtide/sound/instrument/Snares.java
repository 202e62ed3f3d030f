package westtide.sound.instrument;

import westtide.sound.voice.Strike;

/** Snares, claps, rims and sticks. */
final class Snares {
  private static final int SOFT = 4;

  private Snares() {}

  /** The skin, whose pitch settles, and the rattle of the wires below it. */
  static float[] snare(Strike strike) {
    double decay = strike.get("decay");
    double hertz = strike.get("tune") * strike.shift();
    double wires = strike.get("wires") / 100.0;
    double force = strike.force();
    Sample sample = new Sample(strike.samples(1.25 * decay + 40), strike.rate());
    sample.falling(hertz, 2 + 2 * force, 22, 0.6 * decay).scale(0.5);
    Membrane.ring(sample, strike, 0.4 * decay, 0.3);
    double bright = 3200 + 9800 * force;
    new Hiss(sample, strike.seed(21))
        .burst(0, 0.4, strike.about(decay, 0.06, 1), 1100, bright, wires * (0.55 + 0.5 * force))
        .burst(0, 0.2, 0.3 * decay, 380, 2200, 0.4 * wires)
        .burst(0, 0.1, 16, 2500, 15000, 0.2 + 0.6 * force);
    return sample.drive(2 + 3 * force).scale(0.9).table();
  }

  /** Several hands a few milliseconds apart, then the room. */
  static float[] clap(Strike strike) {
    double decay = strike.get("decay");
    int hands = strike.get("hands");
    int apart = strike.samples(strike.get("spread") / (double) hands);
    double tone = strike.get("tone") * strike.shift();
    double bright = tone * (2.2 + 6 * strike.force());
    Sample sample = new Sample(hands * apart + strike.samples(decay + 40), strike.rate());
    for (int hand = 0; hand < hands; hand++) {
      int from = (int) Math.max(0, apart * (hand + 0.22 * strike.stray(hand)));
      double own = strike.about(tone, 0.07, 20 + hand);
      new Hiss(sample, strike.seed(31 + hand))
          .burst(from, 0.2, 20, 0.6 * own, bright, 1.2)
          .burst(from, 0.1, 5, 2.5 * own, 12000, 0.5 * strike.force());
    }
    new Hiss(sample, strike.seed(41))
        .burst((hands - 1) * apart, 0.5, decay, 0.75 * tone, bright, 0.7)
        .burst((hands - 1) * apart, 6, 0.8 * decay, 1.5 * tone, 0.8 * bright, 0.3);
    return sample.drive(2).scale(0.9).table();
  }

  /** The stick on the edge: the wood of the rim, and a little of the skin. */
  static float[] rim(Strike strike) {
    double decay = strike.get("decay");
    double hertz = strike.get("tune") * strike.shift();
    double force = strike.force();
    Sample sample = new Sample(strike.samples(2 * decay + 20), strike.rate());
    sample
        .mode(strike.about(hertz, 0.004, 5), decay, 0.45)
        .mode(strike.about(1.71 * hertz, 0.01, 1), 0.8 * decay, 0.3);
    sample.mode(strike.about(2.62 * hertz, 0.01, 2), 0.6 * decay, 0.15 + 0.25 * force);
    sample.mode(strike.about(4.37 * hertz, 0.01, 3), 0.4 * decay, 0.08 + 0.3 * force);
    sample.mode(0.41 * hertz, 1.6 * decay, 0.16);
    new Hiss(sample, strike.seed(51))
        .burst(0, 0.1, 7, 1500, 3000 + 9000 * force, 0.6)
        .burst(0, 0.3, 1.5 * decay, 1800, 6500, 0.1);
    return sample.drive(3).table();
  }

  /** Two sticks, as they count a band in. */
  static float[] stick(Strike strike) {
    double hertz = strike.get("tune") * strike.shift();
    double decay = strike.get("decay");
    double force = strike.force();
    Sample sample = new Sample(strike.samples(decay + 20), strike.rate());
    sample.mode(strike.about(hertz, 0.006, 5), decay, 0.5);
    sample.mode(strike.about(1.47 * hertz, 0.012, 1), 0.8 * decay, 0.1 + 0.3 * force);
    sample.mode(strike.about(2.71 * hertz, 0.012, 2), 0.4 * decay, 0.08 + 0.3 * force);
    new Hiss(sample, strike.seed(52))
        .burst(0, 0.1, 4, 2000, 3500 + 11000 * force, 0.25 + 0.5 * force);
    return sample.table();
  }

  /**
   * A roll that swells until the note ends: so many strokes a second, left and right hand not quite
   * alike.
   */
  static float[] roll(Strike strike) {
    Sample sample = new Sample(Math.max(strike.frames(), strike.samples(60)), strike.rate());
    double swell = strike.get("swell") / 100.0;
    float[][] hands = new float[Strike.TURNS * SOFT][];
    double apart = strike.rate() / (double) strike.get("strokes");
    for (int stroke = 0; stroke * apart < sample.wave.length; stroke++) {
      double share = stroke * apart / sample.wave.length;
      double force = strike.force() * (1 - swell * (1 - share)) * (stroke % 2 == 0 ? 1 : 0.86);
      int soft = Math.min(SOFT - 1, (int) (force * SOFT));
      int hand = stroke % Strike.TURNS * SOFT + soft;
      if (hands[hand] == null) {
        hands[hand] = hand(strike, stroke % Strike.TURNS, (soft + 0.5) / SOFT);
      }
      sample.add(hands[hand], (int) (stroke * apart), 0.7 * Math.pow(0.12 + 0.88 * force, 1.4));
    }
    return sample.drive(2).table();
  }

  private static float[] hand(Strike strike, int turn, double force) {
    return snare(
        new Strike(
            strike.rate(), strike.frames(), strike.pitches(), force, strike.settings(), turn));
  }
}
