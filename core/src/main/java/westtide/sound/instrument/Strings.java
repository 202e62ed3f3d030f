package westtide.sound.instrument;

import westtide.sound.voice.Filter;
import westtide.sound.voice.Noise;
import westtide.sound.voice.Strike;

/**
 * Plucked strings by a delay line that feeds back through a damping filter; the line's length and
 * an all-pass make up exactly one period. The pick, the body and the hand are added to it.
 */
final class Strings {
  private static final double MIDDLE_C = 261.6256;

  private Strings() {}

  /** A steel or nylon string over a wooden body. */
  static float[] guitar(Strike strike) {
    Sample sample = plucked(strike, new Pluck(0.14, 0.3 - 0.18 * strike.force(), 0.35));
    body(sample, 0.2, 104, 212, 405);
    pick(sample, strike, 1100, 0.22);
    return sample.swell(0.5).table();
  }

  /** The same string under the palm: a thump, a short tone and the pick. */
  static float[] muted(Strike strike) {
    Sample sample = plucked(strike, new Pluck(0.18, 0.54 - 0.3 * strike.force(), 0.4));
    body(sample, 0.3, 118, 196, 342);
    pick(sample, strike, 900, 0.34);
    new Hiss(sample, strike.seed(185)).burst(0, 0.4, 60, 110, 420, 0.3 + 0.2 * strike.force());
    return sample.swell(0.5).table();
  }

  /** A bass string plucked with the finger, further from the bridge. */
  static float[] fingerBass(Strike strike) {
    Sample sample = plucked(strike, new Pluck(0.24, 0.5 - 0.22 * strike.force(), 0.14));
    new Hiss(sample, strike.seed(186))
        .burst(0, 0.8, 28, 250, 700 + 1500 * strike.force(), 0.1 + 0.12 * strike.force());
    sample.below(strike.get("tone") * (1 + 1.6 * strike.force()), 0.7);
    return sample.scale(1.15).swell(0.8).table();
  }

  /** Strings under tangents and a pickup close to the bridge: bright, dry, biting when hit. */
  static float[] keyboard(Strike strike) {
    double force = strike.force();
    Sample sample = plucked(strike, new Pluck(0.09, 0.2 - 0.14 * force, 0.2));
    pickup(sample, strike, 0.13);
    pick(sample, strike, 2200, 0.25);
    sample.below(2 * strike.get("tone") * (0.4 + force), 0.7);
    return sample.drive(2 + 4 * force).scale(0.8).swell(0.3).table();
  }

  /**
   * How a string is plucked.
   *
   * @param place where, as a share of its length
   * @param damping how much of its highs each period takes, 0 to 0.5
   * @param noise how much of the pluck is noise
   */
  private record Pluck(double place, double damping, double noise) {}

  private static Sample plucked(Strike strike, Pluck pluck) {
    double decay = strike.get("decay") * Math.min(1.6, Math.pow(MIDDLE_C / strike.hertz(), 0.2));
    double damping = pluck.damping();
    int natural = strike.samples(decay);
    Sample sample = new Sample(Math.min(strike.frames(), natural), strike.rate());
    double turn = 2 * Math.PI * strike.hertz() / strike.rate();
    double lag =
        Math.atan2(damping * Math.sin(turn), 1 - damping + damping * Math.cos(turn)) / turn;
    double period = strike.rate() / strike.hertz() - lag;
    int whole = (int) (period - 0.4);
    double[] line = drawn(strike, whole, pluck);
    double pass = allPass(period - whole, turn);
    double keep = Math.pow(10, -3 * 1000 / (strike.hertz() * decay));
    double before = line[whole - 1];
    double entered = keep * before;
    double passed = entered;
    for (int i = 0, at = 0; i < sample.wave.length; i++) {
      double out = line[at];
      double damped = keep * ((1 - damping) * out + damping * before);
      before = out;
      passed = pass * damped + entered - pass * passed;
      entered = damped;
      line[at] = passed;
      at = at + 1 == whole ? 0 : at + 1;
      sample.wave[i] = out;
    }
    return sample;
  }

  /** The coefficient of an all-pass that delays by a share of a sample at a frequency. */
  private static double allPass(double samples, double turn) {
    return Math.sin((1 - samples) * turn / 2) / Math.sin((1 + samples) * turn / 2);
  }

  /**
   * The string drawn aside at one place, and the noise of the finger; without a constant part. Its
   * end goes over into its beginning, since it is heard round and round.
   */
  private static double[] drawn(Strike strike, int length, Pluck pluck) {
    double[] line = new double[length];
    Noise noise = new Noise(strike.seed(181));
    Filter soft = new Filter(strike.rate());
    soft.set(strike.get("tone") * (0.4 + 1.3 * strike.force()), 0.7);
    double place = strike.about(pluck.place(), 0.25, 1);
    int peak = Math.max(1, (int) (place * length));
    double rough = pluck.noise() * (0.4 + strike.force());
    double[] drawn = new double[length];
    for (int i = 0; i < length; i++) {
      double aside = i < peak ? i / (double) peak : (length - i) / (double) (length - peak);
      drawn[i] = 1.3 * (aside - 0.5) + rough * noise.next();
    }
    for (int lap = 0; lap < 2; lap++) {
      for (int i = 0; i < length; i++) {
        line[i] = soft.low(drawn[i]);
      }
    }
    double sum = 0;
    for (double value : line) {
      sum += value;
    }
    for (int i = 0; i < length; i++) {
      line[i] -= sum / length;
    }
    return line;
  }

  /** The pick or nail as it leaves the string. */
  private static void pick(Sample sample, Strike strike, double low, double level) {
    double force = strike.force();
    new Hiss(sample, strike.seed(183))
        .burst(0, 0.1, 5 + 6 * force, low, 3000 + 7000 * force, level * (0.3 + 0.9 * force));
  }

  /** What a hollow body adds around its own notes. */
  private static void body(Sample sample, double level, double... hertz) {
    Filter low = new Filter(sample.rate).set(hertz[0], 4);
    Filter mid = new Filter(sample.rate).set(hertz[1], 4);
    Filter high = new Filter(sample.rate).set(hertz[2], 4);
    for (int i = 0; i < sample.wave.length; i++) {
      double in = sample.wave[i];
      sample.wave[i] = in + level * (low.band(in) + mid.band(in) + high.band(in));
    }
  }

  /** A pickup hears the string at one place: overtones that rest there are missing. */
  private static void pickup(Sample sample, Strike strike, double place) {
    int late = (int) Math.max(1, place * strike.rate() / strike.hertz());
    for (int i = sample.wave.length - 1; i >= late; i--) {
      sample.wave[i] -= 0.8 * sample.wave[i - late];
    }
  }
}
