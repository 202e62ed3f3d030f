package westtide.sound.instrument;

import westtide.sound.voice.Strike;

/** Bass drums, toms and a stomp: a sine that falls onto its tuning, with a click before it. */
final class Kicks {
  private static final double SWEEP_MILLIS = 60;
  private static final double CLICK_MILLIS = 12;
  private static final int FEET = 4;

  private Kicks() {}

  /** The body carries the tuned fundamental; drop, click and drive are set. */
  static float[] kick(Strike strike) {
    Sample sample = body(strike, SWEEP_MILLIS);
    double click = strike.get("click") / 100.0 * (0.3 + 0.7 * strike.force());
    sample.mode(strike.about(2700, 0.05, 1), 12, 0.3 * click);
    new Hiss(sample, strike.seed(11))
        .burst(0, 0.2, CLICK_MILLIS, 1500, 2500 + 9500 * strike.force(), click)
        .burst(0, 0.5, 45, 180, 900, 0.25 * click);
    return sample.drive(strike.get("drive") * (0.6 + 0.5 * strike.force())).table();
  }

  /** A tom, or a very low hit: longer sweep, softer skin, and the modes of a round membrane. */
  static float[] tom(Strike strike) {
    Sample sample = body(strike, 2.5 * SWEEP_MILLIS);
    Membrane.ring(sample, strike, 0.5 * strike.get("decay"), 0.14 + 0.16 * strike.force());
    new Hiss(sample, strike.seed(12))
        .burst(0, 0.3, 30, 300, 1500 + 5500 * strike.force(), 0.25 + 0.3 * strike.force())
        .burst(0, 0.2, 6, 2000, 9000, 0.3 * strike.force());
    return sample.scale(0.75).table();
  }

  /** Several feet on a wooden floor. */
  static float[] stomp(Strike strike) {
    double decay = strike.get("decay");
    double hertz = strike.get("tune") * strike.shift();
    int apart = strike.samples(strike.get("spread") / (double) FEET);
    Sample sample = new Sample(FEET * apart + strike.samples(decay + 60), strike.rate());
    for (int foot = 0; foot < FEET; foot++) {
      int from = foot * apart + (int) (0.3 * apart * (1 + strike.stray(foot)));
      double own = hertz * (1 + 0.16 * foot + 0.03 * strike.stray(10 + foot));
      sample.modeAt(from, own, decay, 0.34).modeAt(from, 2.7 * own, 0.35 * decay, 0.16);
      new Hiss(sample, strike.seed(13 + foot))
          .burst(from, 0.4, 0.7 * decay, 90, 900 + 2600 * strike.force(), 0.55)
          .burst(from, 0.2, 14, 900, 2500 + 5000 * strike.force(), 0.35 * strike.force());
    }
    return sample.drive(4).table();
  }

  private static Sample body(Strike strike, double sweepMillis) {
    double decay = strike.get("decay");
    Sample sample = new Sample(strike.samples(decay + 40), strike.rate());
    double drop = strike.about(strike.get("drop"), 0.015, 2) * (0.7 + 0.3 * strike.force());
    double sweep = strike.about(sweepMillis, 0.0013 * sweepMillis, 2);
    return sample.falling(strike.get("tune") * strike.shift(), drop, sweep, decay);
  }
}
