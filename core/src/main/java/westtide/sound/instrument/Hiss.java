package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Filter;
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
    for (int i = from; i < last; i++) {
      double in = above.low(below.high(noise.next()));
      sample.wave[i] += in * loud * Fade.rise(i - from, rise);
      loud *= i - from < rise ? 1 : fall;
    }
    return this;
  }
}
