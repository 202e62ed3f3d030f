package westtide.heard;

import westtide.sound.Spectrum;

/** Energies of a stretch of sound by frequency, under a Hann window. */
final class Bands {
  private final double[] powers;
  private final double hertzABin;

  private Bands(double[] powers, double hertzABin) {
    this.powers = powers;
    this.hertzABin = hertzABin;
  }

  static Bands of(float[] samples) {
    int length = Integer.highestOneBit(Math.max(2, samples.length));
    float[] windowed = new float[length];
    for (int i = 0; i < length; i++) {
      windowed[i] = (float) (samples[i] * (0.5 - 0.5 * Math.cos(2 * Math.PI * i / length)));
    }
    return new Bands(Spectrum.powers(windowed, length), (double) Rendered.RATE / length);
  }

  /** With its beginning as it is and its last third faded out, for what is struck. */
  static Bands struck(float[] samples) {
    int length = 2 * Integer.highestOneBit(Math.max(2, samples.length - 1));
    float[] faded = samples.clone();
    int fade = samples.length / 3;
    for (int i = 0; i < fade; i++) {
      faded[samples.length - 1 - i] *= (float) (0.5 - 0.5 * Math.cos(Math.PI * i / fade));
    }
    return new Bands(Spectrum.powers(faded, length), (double) Rendered.RATE / length);
  }

  double energy(double low, double high) {
    double sum = 0;
    for (int i = 1; i < powers.length; i++) {
      double hertz = i * hertzABin;
      sum += hertz >= low && hertz < high ? powers[i] : 0;
    }
    return sum;
  }

  double share(double low, double high) {
    return energy(low, high) / energy(20, 24_000);
  }

  /** The middle of gravity of the spectrum in Hz, by amplitude as ears weigh it. */
  double centroid() {
    double sum = 0;
    double weighed = 0;
    for (int i = 1; i < powers.length; i++) {
      double amplitude = Math.sqrt(powers[i]);
      sum += amplitude;
      weighed += amplitude * i * hertzABin;
    }
    return weighed / sum;
  }

  /** Energy further than so many cents from every multiple of a frequency, against all, in dB. */
  double besideOvertones(double hertz, double cents) {
    double ratio = Math.pow(2, cents / 1200);
    double beside = 0;
    double all = 0;
    for (int i = 1; i < powers.length; i++) {
      double place = i * hertzABin;
      double nearest = Math.max(1, Math.rint(place / hertz)) * hertz;
      boolean near = place > nearest / ratio - 12 && place < nearest * ratio + 12;
      all += powers[i];
      beside += place > 20 && !near ? powers[i] : 0;
    }
    return decibels(beside / all);
  }

  static double decibels(double power) {
    return 10 * Math.log10(power + 1e-30);
  }
}
