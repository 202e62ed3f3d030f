package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Filter;
import westtide.sound.voice.SineTable;

/** A sound while it is being made: samples that sources are added to. */
final class Sample {
  private static final double SLOWEST_HERTZ = 8;
  private static final double RISE_MILLIS = 0.5;
  private static final double END_MILLIS = 3;

  /** A sweep that has come this near no longer bends a pitch. */
  private static final double STILL = 1e-5;

  final double[] wave;
  final int rate;

  Sample(int frames, int rate) {
    this.wave = new double[Math.max(1, frames)];
    this.rate = rate;
  }

  /** Adds a sine that falls by 60 dB in that many milliseconds, from its zero upwards. */
  Sample mode(double hertz, double millis, double level) {
    return modeAt(0, hertz, millis, level);
  }

  /** Adds a falling sine from a sample on. */
  Sample modeAt(int from, double hertz, double millis, double level) {
    double[] one = {hertz};
    new Modes(rate, one, new double[] {millis}, new double[] {level}).add(wave, from);
    return this;
  }

  /** Adds falling sines. */
  Sample modes(double[] hertz, double[] millis, double[] levels) {
    new Modes(rate, hertz, millis, levels).add(wave, 0);
    return this;
  }

  /**
   * Adds a sine that falls onto a pitch from semitones above it, most of the way in {@code
   * sweepMillis}, while it fades.
   */
  Sample falling(double hertz, double semitones, double sweepMillis, double fadeMillis) {
    double sweepFall = Fade.perSample(sweepMillis, rate);
    double fall = Fade.perSample(fadeMillis, rate);
    double sweep = 1;
    double level = 1;
    double phase = 0;
    double step = hertz / rate;
    double bend = semitones / 12 * Math.log(2);
    int rise = (int) Math.round(RISE_MILLIS / 1000 * rate);
    for (int i = 0; i < wave.length; i++) {
      wave[i] += SineTable.at(phase) * level * Fade.rise(i, rise);
      phase += step * (sweep > STILL ? Math.exp(bend * sweep) : 1);
      sweep *= sweepFall;
      level *= fall;
    }
    return this;
  }

  /**
   * Bends the wave towards ±1 as an overdriven amplifier does; silence stays silence. The bend is
   * {@code x/√(1+x²)}, averaged between neighbouring samples by its integral, so that little of
   * what it adds folds back (first-order antiderivative antialiasing; from memory).
   */
  Sample drive(double decibels) {
    double push = 1.25 * Math.pow(10, decibels / 20);
    double back = Math.sqrt(1 + push * push) / push;
    double before = 0;
    double rootBefore = 1;
    for (int i = 0; i < wave.length; i++) {
      double in = wave[i] * push;
      double root = Math.sqrt(1 + in * in);
      wave[i] = (in + before) / (root + rootBefore) * back;
      before = in;
      rootBefore = root;
    }
    return this;
  }

  /** Takes what lies above a cutoff, 12 dB an octave. */
  Sample below(double hertz, double q) {
    new Filter(rate).set(hertz, q).low(wave, 0, wave.length);
    return this;
  }

  /** Lets the wave come in over a time instead of at once. */
  Sample swell(double millis) {
    int rise = Math.max(1, (int) (millis / 1000 * rate));
    for (int i = 0; i < Math.min(rise, wave.length); i++) {
      wave[i] *= Fade.rise(i, rise);
    }
    return this;
  }

  /** Adds another sound from a sample on. */
  Sample add(float[] other, int from, double level) {
    for (int i = 0; i < Math.min(other.length, wave.length - from); i++) {
      wave[from + i] += level * other[i];
    }
    return this;
  }

  /** Scales the wave so that a nominal peak becomes 1. */
  Sample scale(double factor) {
    for (int i = 0; i < wave.length; i++) {
      wave[i] *= factor;
    }
    return this;
  }

  /** The wave backwards. */
  Sample reversed() {
    for (int i = 0, j = wave.length - 1; i < j; i++, j--) {
      double kept = wave[i];
      wave[i] = wave[j];
      wave[j] = kept;
    }
    return this;
  }

  /** The finished table: without a constant part, and ending in silence. */
  float[] table() {
    double keep = 1 - 2 * Math.PI * SLOWEST_HERTZ / rate;
    double before = 0;
    double out = 0;
    float[] table = new float[wave.length];
    for (int i = 0; i < wave.length; i++) {
      out = wave[i] - before + keep * out;
      before = wave[i];
      table[i] = (float) out;
    }
    int end = Math.min(table.length, (int) (END_MILLIS / 1000 * rate));
    for (int i = 0; i < end; i++) {
      table[table.length - 1 - i] *= i / (float) end;
    }
    return table;
  }
}
