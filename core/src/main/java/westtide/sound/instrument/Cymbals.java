package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Filter;
import westtide.sound.voice.Saw;
import westtide.sound.voice.Strike;

/** Hats, ride and crashes: a cluster of pulse waves no two of which agree, and noise. */
final class Cymbals {
  /** Frequencies of the cluster against its lowest; chosen so that no ratio is simple. */
  private static final double[] CLUSTER = {1, 1.347, 1.689, 2.173, 2.719, 3.443};

  private Cymbals() {}

  /** A hat; how open it is is its decay. */
  static float[] hat(Strike strike) {
    Sample sample = new Sample(strike.samples(strike.get("decay") + 10), strike.rate());
    double cut = strike.get("tone") * (0.85 + 0.3 * strike.force());
    metal(sample, 421 * strike.shift(), strike.get("decay"), cut, 1.1);
    new Hiss(sample, 61).burst(0, 0.2, 0.8 * strike.get("decay"), cut, 19000, 0.5);
    return sample.drive(2).scale(0.8).table();
  }

  /** A ride: the ping of the stick over a long wash. */
  static float[] ride(Strike strike) {
    double decay = strike.get("decay");
    Sample sample = new Sample(strike.samples(decay), strike.rate());
    metal(sample, 367 * strike.shift(), decay, 4200 + 1500 * strike.force(), 0.5);
    double ping = strike.get("ping") / 100.0;
    sample.mode(3130 * strike.shift(), 0.4 * decay, 0.5 * ping);
    sample.mode(4710 * strike.shift(), 0.3 * decay, 0.4 * ping * strike.force());
    new Hiss(sample, 71).burst(0, 0.3, 40, 5000, 16000, 0.5);
    return sample.scale(0.8).table();
  }

  /** A crash. */
  static float[] crash(Strike strike) {
    double decay = strike.get("decay");
    Sample sample = new Sample(strike.samples(decay), strike.rate());
    metal(sample, 287 * strike.shift(), 0.8 * decay, strike.get("tone"), 0.6);
    new Hiss(sample, 81)
        .burst(0, 2, decay, strike.get("tone"), 9000 + 8000 * strike.force(), 0.7)
        .burst(0, 1, 90, 700, 6000, 0.4);
    return sample.drive(2).scale(0.8).table();
  }

  /** A crash backwards, swelling until the note ends. */
  static float[] reversed(Strike strike) {
    int frames = Math.max(strike.frames(), strike.samples(60));
    double millis = 1000.0 * frames / strike.rate();
    Sample sample = new Sample(frames, strike.rate());
    metal(sample, 287, 1.1 * millis, strike.get("tone"), 0.6);
    new Hiss(sample, 82).burst(0, 4, 1.1 * millis, strike.get("tone"), 15000, 0.8);
    return sample.reversed().drive(2).scale(0.8).table();
  }

  /** Small jingles that strike after one another. */
  static float[] tambourine(Strike strike) {
    double decay = strike.get("decay");
    Sample sample = new Sample(strike.samples(decay + 20), strike.rate());
    double[] jingles = {5230, 6170, 7390, 8650, 9910, 11370};
    for (int i = 0; i < jingles.length; i++) {
      int from = strike.samples(1.7 * i * (1.4 - strike.force()));
      sample.modeAt(from, jingles[i] * strike.shift(), decay * (1 - 0.08 * i), 0.16);
    }
    new Hiss(sample, 91).burst(0, 1, 0.6 * decay, 5000, 15000, 0.6);
    return sample.scale(0.9).table();
  }

  private static void metal(Sample sample, double base, double decay, double cut, double level) {
    Saw[] waves = new Saw[CLUSTER.length];
    for (int i = 0; i < waves.length; i++) {
      waves[i] = new Saw(i / (double) waves.length);
    }
    Filter first = new Filter(sample.rate).set(cut, 0.9);
    Filter second = new Filter(sample.rate).set(cut, 0.7);
    double fall = Fade.perSample(decay, sample.rate);
    double loud = level;
    for (int i = 0; i < sample.wave.length; i++) {
      double sum = 0;
      for (int w = 0; w < waves.length; w++) {
        sum += waves[w].pulse(base * CLUSTER[w] / sample.rate, 0.5);
      }
      sample.wave[i] += second.high(first.high(sum / waves.length)) * loud;
      loud *= fall;
    }
  }
}
