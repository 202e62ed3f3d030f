package westtide.sound.instrument;

import westtide.sound.voice.Filter;
import westtide.sound.voice.Noise;
import westtide.sound.voice.Strike;

/**
 * Plucked strings by a delay line that feeds back through a damping filter; the line's length and
 * an all-pass make up exactly one period.
 */
final class Strings {
  private Strings() {}

  /** A steel or nylon string. */
  static float[] guitar(Strike strike) {
    return plucked(strike, 0.16, 0.25 + 0.2 * strike.force(), 1);
  }

  /** The same string under the palm. */
  static float[] muted(Strike strike) {
    return plucked(strike, 0.2, 0.45, 1);
  }

  /** A bass string plucked with the finger, further from the bridge. */
  static float[] fingerBass(Strike strike) {
    return plucked(strike, 0.27, 0.4, 1.15);
  }

  private static float[] plucked(Strike strike, double place, double damping, double level) {
    double decay = strike.get("decay");
    int natural = strike.samples(decay);
    Sample sample = new Sample(Math.min(strike.frames(), natural), strike.rate());
    double turn = 2 * Math.PI * strike.hertz() / strike.rate();
    double lag =
        Math.atan2(damping * Math.sin(turn), 1 - damping + damping * Math.cos(turn)) / turn;
    double period = strike.rate() / strike.hertz() - lag;
    int whole = (int) (period - 0.4);
    double[] line = pluck(strike, whole, place);
    double pass = allPass(period - whole, turn);
    double keep = Math.pow(10, -3 * 1000 / (strike.hertz() * decay));
    double before = 0;
    double passed = 0;
    double entered = 0;
    for (int i = 0, at = 0; i < sample.wave.length; i++) {
      double out = line[at];
      double damped = keep * ((1 - damping) * out + damping * before);
      before = out;
      passed = pass * damped + entered - pass * passed;
      entered = damped;
      line[at] = passed;
      at = at + 1 == whole ? 0 : at + 1;
      sample.wave[i] = out * level;
    }
    return sample.swell(0.7).table();
  }

  /** The coefficient of an all-pass that delays by a share of a sample at a frequency. */
  private static double allPass(double samples, double turn) {
    return Math.sin((1 - samples) * turn / 2) / Math.sin((1 + samples) * turn / 2);
  }

  /** The string drawn aside at one place, and the noise of the finger; without a constant part. */
  private static double[] pluck(Strike strike, int length, double place) {
    double[] line = new double[length];
    Noise noise = new Noise(181);
    Filter soft = new Filter(strike.rate());
    soft.set(strike.get("tone") * (0.5 + strike.force()), 0.7);
    int peak = Math.max(1, (int) (place * length));
    double sum = 0;
    for (int i = 0; i < length; i++) {
      double drawn = i < peak ? i / (double) peak : (length - i) / (double) (length - peak);
      line[i] = 1.3 * (drawn - 0.5) + (0.25 + 0.5 * strike.force()) * soft.low(noise.next());
      sum += line[i];
    }
    for (int i = 0; i < length; i++) {
      line[i] -= sum / length;
    }
    return line;
  }
}
