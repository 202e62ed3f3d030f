package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Filter;
import westtide.sound.voice.Saw;
import westtide.sound.voice.Strike;

/** Hand drums, shaker, bells, blocks and a zap. */
final class Percussions {
  private static final double ZAP_SEMITONES = 54;

  private Percussions() {}

  /** A conga; the slap grows with the force. */
  static float[] conga(Strike strike) {
    double decay = strike.get("decay");
    double hertz = strike.get("tune") * strike.shift();
    Sample sample = new Sample(strike.samples(decay + 30), strike.rate());
    sample.mode(hertz, decay, 0.75).mode(1.53 * hertz, 0.5 * decay, 0.25);
    sample.mode(2.29 * hertz, 0.3 * decay, 0.3 * strike.force());
    new Hiss(sample, 101).burst(0, 0.3, 26, 500, 2500 + 5000 * strike.force(), 0.45);
    return sample.drive(2).scale(0.85).table();
  }

  /** A shaker: forth, and a softer back. */
  static float[] shaker(Strike strike) {
    double decay = strike.get("decay");
    Sample sample = new Sample(strike.samples(1.5 * decay + 40), strike.rate());
    double low = strike.get("tone") * strike.shift();
    new Hiss(sample, 111)
        .burst(0, 0.25 * decay, decay, low, 9000 + 8000 * strike.force(), 1.2)
        .burst(strike.samples(0.45 * decay), 0.1 * decay, 0.6 * decay, low, 14000, 0.5);
    return sample.scale(0.8).table();
  }

  /** A cowbell: two pulse waves in no simple ratio through a narrow band. */
  static float[] cowbell(Strike strike) {
    double decay = strike.get("decay");
    double hertz = strike.get("tune") * strike.shift();
    Sample sample = new Sample(strike.samples(decay + 20), strike.rate());
    Saw low = new Saw(0);
    Saw high = new Saw(0.3);
    Filter band = new Filter(strike.rate()).set(1.35 * hertz, 1.2);
    double fall = Fade.perSample(decay, strike.rate());
    double level = 1.1;
    for (int i = 0; i < sample.wave.length; i++) {
      double in = low.pulse(hertz / strike.rate(), 0.5);
      in += high.pulse(1.473 * hertz / strike.rate(), 0.5);
      sample.wave[i] = band.band(in) * level * (0.75 + 0.25 * strike.force());
      level *= fall;
    }
    new Hiss(sample, 121).burst(0, 0.1, 6, 1500, 9000, 0.3 * strike.force());
    return sample.scale(0.7).table();
  }

  /** A wood block. */
  static float[] block(Strike strike) {
    double decay = strike.get("decay");
    double hertz = strike.get("tune") * strike.shift();
    Sample sample = new Sample(strike.samples(decay + 20), strike.rate());
    sample.mode(hertz, decay, 0.7).mode(1.64 * hertz, 0.5 * decay, 0.3 * strike.force());
    new Hiss(sample, 131).burst(0, 0.1, 5, 1200, 7000, 0.4);
    return sample.table();
  }

  /** A tone that falls from high to its tuning in a moment. */
  static float[] zap(Strike strike) {
    double decay = strike.get("decay");
    Sample sample = new Sample(strike.samples(decay + 20), strike.rate());
    double hertz = strike.get("tune") * strike.shift();
    sample.falling(hertz, ZAP_SEMITONES, strike.get("sweep"), decay);
    return sample.drive(3 + 9 * strike.force()).table();
  }
}
