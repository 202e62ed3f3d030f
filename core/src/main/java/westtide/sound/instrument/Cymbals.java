package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Filter;
import westtide.sound.voice.Filter.Leaves;
import westtide.sound.voice.Noise;
import westtide.sound.voice.Saw;
import westtide.sound.voice.Strike;

/**
 * Hats, ride and crashes: plates with hundreds of modes, for which stand a cluster of pulse waves
 * no two of which agree, a spread of single modes, and noise that loses its highs first.
 */
final class Cymbals {
  /** Frequencies of the cluster against its lowest; chosen so that no ratio is simple. */
  private static final double[] CLUSTER = {1, 1.347, 1.689, 2.173, 2.719, 3.443};

  private static final double SLOW = 2.6;

  private Cymbals() {}

  /** A hat; how open it is is its decay. */
  static float[] hat(Strike strike) {
    double decay = strike.get("decay");
    double force = strike.force();
    Sample sample = new Sample(strike.samples(SLOW * decay + 10), strike.rate());
    double tone = strike.get("tone");
    double cut = tone * (0.61 + 0.1 * force);
    double shift = strike.about(strike.shift(), 0.012, 1);
    metal(sample, 421 * shift, decay, cut, 1.5);
    new Hiss(sample, strike.seed(61))
        .burst(0, 0.2, 0.7 * decay, cut, 15000, 0.3 + 0.25 * force)
        .burst(0, 0.1, 6, 3000, 14000, 0.15 + 0.3 * force);
    sample.below(tone * (0.34 + 1.65 * force), 0.6);
    return sample.scale(0.8).table();
  }

  /** A ride: the ping of the stick, the bell below it, over a long wash that blooms after it. */
  static float[] ride(Strike strike) {
    double decay = strike.get("decay");
    double force = strike.force();
    double ping = strike.get("ping") / 100.0;
    Sample sample = new Sample(strike.samples(decay), strike.rate());
    plate(sample, strike, 28, 340, 9800, decay, 0.085);
    sample.mode(strike.about(3130 * strike.shift(), 0.01, 1), 0.35 * decay, 0.16 * ping);
    sample.mode(strike.about(4710 * strike.shift(), 0.01, 2), 0.22 * decay, 0.14 * ping * force);
    sample.mode(612 * strike.shift(), 0.5 * decay, 0.1 * ping);
    new Hiss(sample, strike.seed(71))
        .burst(0, 0.2, 25, 3500, 5000 + 11000 * force, 0.35 + 0.3 * ping)
        .burst(0, 30, 0.8 * decay, 2600, 5200 + 4000 * force, 0.16)
        .burst(0, 12, 0.3 * decay, 5200, 13000, 0.05 + 0.12 * force);
    sample.below(3600 + 9400 * force, 0.6);
    return sample.scale(0.9).table();
  }

  /** A crash. */
  static float[] crash(Strike strike) {
    double decay = strike.get("decay");
    Sample sample = new Sample(strike.samples(decay), strike.rate());
    splash(sample, strike, decay);
    new Hiss(sample, strike.seed(83)).burst(0, 1, 90, 500, 5000, 0.4);
    return sample.scale(0.8).table();
  }

  /** A crash backwards, swelling until the note ends. */
  static float[] reversed(Strike strike) {
    int frames = Math.max(strike.frames(), strike.samples(60));
    double millis = 1000.0 * frames / strike.rate();
    Sample sample = new Sample(frames, strike.rate());
    splash(sample, strike, 1.1 * millis);
    return sample.reversed().scale(0.8).table();
  }

  /** Small jingles that strike after one another, and again as they swing back. */
  static float[] tambourine(Strike strike) {
    double decay = strike.get("decay");
    Sample sample = new Sample(strike.samples(1.3 * decay + 20), strike.rate());
    double[] jingles = {4890, 5230, 5870, 6170, 6790, 7390, 8110, 8650, 9310, 9910};
    for (int i = 0; i < jingles.length; i++) {
      double late = 1.6 * i * (1.4 - strike.force()) * (1 + 0.4 * strike.stray(i));
      double hertz = strike.about(jingles[i] * strike.shift(), 0.015, 20 + i);
      sample.modeAt(strike.samples(late), hertz, decay * (1 - 0.05 * i), 0.09);
      sample.modeAt(strike.samples(late + 21 + 2.3 * i), hertz, 0.6 * decay, 0.04);
    }
    double bright = 7000 + 8000 * strike.force();
    new Hiss(sample, strike.seed(91))
        .burst(0, 1, 0.6 * decay, 4000, bright, 0.5)
        .beads(strike.samples(18), 4, decay, 6400, 1400, 0.8);
    sample.below(2900 + 12000 * strike.force(), 0.6);
    return sample.scale(0.9).table();
  }

  private static void splash(Sample sample, Strike strike, double decay) {
    double tone = strike.get("tone");
    double force = strike.force();
    plate(sample, strike, 32, 0.11 * tone, 3.1 * tone, 0.9 * decay, 0.05);
    metal(sample, 287 * strike.about(strike.shift(), 0.012, 3), 0.5 * decay, tone, 0.3);
    new Hiss(sample, strike.seed(81))
        .burst(0, 2, 0.45 * decay, 1.3 * tone, 7000 + 10000 * force, 0.5)
        .burst(0, 3, 0.8 * decay, 0.6 * tone, 2.2 * tone, 0.45)
        .burst(0, 4, decay, 0.25 * tone, tone, 0.3);
    sample.below(tone * (0.9 + 3.4 * force), 0.6);
  }

  /** So many modes between two frequencies, spread evenly in octaves and strayed. */
  private static void plate(
      Sample sample,
      Strike strike,
      int count,
      double low,
      double high,
      double decay,
      double level) {
    double[] hertz = new double[count];
    double[] millis = new double[count];
    double[] levels = new double[count];
    Noise spread = new Noise(strike.seed(95));
    for (int i = 0; i < count; i++) {
      double share = (i + 0.5 + 0.45 * spread.next()) / count;
      hertz[i] = strike.shift() * low * Math.pow(high / low, share);
      millis[i] = decay * (1 - 0.62 * share) * (1 + 0.2 * spread.next());
      levels[i] = level * (0.6 + 0.4 * spread.next()) * (i % 2 == 0 ? 1 : -1);
    }
    sample.modes(hertz, millis, levels);
  }

  /** The cluster above a cutoff: most of it falls quickly, a quarter rings on. */
  private static void metal(Sample sample, double base, double decay, double cut, double level) {
    double[] wave = new double[sample.wave.length];
    for (int i = 0; i < CLUSTER.length; i++) {
      Saw square = new Saw(i / (double) CLUSTER.length);
      square.addSquare(wave, 0, wave.length, 1, base / sample.rate * CLUSTER[i]);
    }
    Filter first = new Filter(sample.rate).set(cut, 0.9);
    Filter second = new Filter(sample.rate).set(cut, 0.7);
    Filter.inTurn(first, Leaves.HIGHS, second, Leaves.HIGHS, wave, 0, wave.length);
    double fall = Fade.perSample(decay, sample.rate);
    double slowFall = Fade.perSample(SLOW * decay, sample.rate);
    double loud = level / CLUSTER.length;
    double ringing = 0.23 * loud;
    for (int i = 0; i < wave.length; i++) {
      sample.wave[i] += wave[i] * (loud + ringing);
      loud *= fall;
      ringing *= slowFall;
    }
  }
}
