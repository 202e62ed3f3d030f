package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Filter;
import westtide.sound.voice.Filter.Leaves;
import westtide.sound.voice.Noise;

/** Bursts of noise, added to a sample: of snares, claps, cymbals and breath. */
final class Hiss {
  private final Sample sample;
  private final Noise noise;

  Hiss(Sample sample, int seed) {
    this.sample = sample;
    this.noise = new Noise(seed);
  }

  /** A burst between two cutoffs that starts at a sample and falls by 60 dB in a time. */
  Hiss burst(
      int from, double riseMillis, double fallMillis, double low, double high, double level) {
    Filter below = new Filter(sample.rate).set(low, 0.7);
    Filter above = new Filter(sample.rate).set(high, 0.7);
    double fall = Fade.perSample(fallMillis, sample.rate);
    int rise = Math.max(1, (int) (riseMillis / 1000 * sample.rate));
    double loud = level;
    int last = Math.min(sample.wave.length, from + rise + (int) (fallMillis / 1000 * sample.rate));
    double[] burst = new double[Math.max(0, last - from)];
    for (int i = 0; i < burst.length; i++) {
      burst[i] = noise.next();
    }
    Filter.inTurn(below, Leaves.HIGHS, above, Leaves.LOWS, burst, 0, burst.length);
    for (int i = 0; i < burst.length; i++) {
      sample.wave[from + i] += burst[i] * loud * Fade.rise(i, rise);
      loud *= i < rise ? 1 : fall;
    }
    return this;
  }

  /**
   * Beads that hit a shell: single clicks, so many a second at first and fewer as the burst fades,
   * each rung through a band.
   */
  Hiss beads(
      int from, double riseMillis, double fallMillis, double hertz, double aSecond, double level) {
    Filter band = new Filter(sample.rate).set(hertz, 1.4);
    Filter upper = new Filter(sample.rate).set(1.62 * hertz, 1.6);
    double fall = Fade.perSample(fallMillis, sample.rate);
    int rise = Math.max(1, (int) (riseMillis / 1000 * sample.rate));
    double often = aSecond / sample.rate;
    double loud = 1;
    int last = Math.min(sample.wave.length, from + rise + (int) (fallMillis / 1000 * sample.rate));
    for (int i = from; i < last; i++) {
      double shake = loud * Fade.rise(i - from, rise);
      double hit = Math.abs(noise.next()) < often * shake ? noise.next() * Math.sqrt(shake) : 0;
      sample.wave[i] += level * (band.band(hit) + 0.7 * upper.band(hit));
      loud *= i - from < rise ? 1 : fall;
    }
    return this;
  }
}
