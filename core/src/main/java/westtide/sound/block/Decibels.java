package westtide.sound.block;

/** Decibels and the factors they stand for: 6.02 dB doubles an amplitude. */
public final class Decibels {
  private Decibels() {}

  /** The factor of a level in dB. */
  public static double gain(double decibels) {
    return Math.pow(10, decibels / 20);
  }

  /** The level of a factor in dB; −120 for silence. */
  public static double of(double gain) {
    return gain <= 1e-6 ? -120 : 20 * Math.log10(gain);
  }
}
