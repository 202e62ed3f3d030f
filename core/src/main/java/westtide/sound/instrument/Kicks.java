package westtide.sound.instrument;

import westtide.sound.voice.Strike;

/** Bass drums and toms: a sine that falls onto its tuning, with a click before it. */
final class Kicks {
  private static final double SWEEP_MILLIS = 60;
  private static final double CLICK_MILLIS = 12;

  private Kicks() {}

  /** The body carries the tuned fundamental; drop, click and drive are set. */
  static float[] kick(Strike strike) {
    Sample sample = body(strike, SWEEP_MILLIS);
    double click = strike.get("click") / 100.0 * (0.5 + 0.5 * strike.force());
    new Hiss(sample, 11).burst(0, 0.2, CLICK_MILLIS, 1800, 4000 + 8000 * strike.force(), click);
    return sample.drive(strike.get("drive")).table();
  }

  /** A tom, or a very low hit: longer sweep, softer skin. */
  static float[] tom(Strike strike) {
    Sample sample = body(strike, 2.5 * SWEEP_MILLIS);
    double hertz = strike.get("tune") * strike.shift();
    sample.mode(1.59 * hertz, 0.4 * strike.get("decay"), 0.2 + 0.2 * strike.force());
    new Hiss(sample, 12).burst(0, 0.3, 30, 300, 1500 + 3500 * strike.force(), 0.35);
    return sample.scale(0.75).table();
  }

  private static Sample body(Strike strike, double sweepMillis) {
    double decay = strike.get("decay");
    Sample sample = new Sample(strike.samples(decay + 40), strike.rate());
    double drop = strike.get("drop") * (0.7 + 0.3 * strike.force());
    return sample.falling(strike.get("tune") * strike.shift(), drop, sweepMillis, decay);
  }
}
