package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Filter;
import westtide.sound.voice.Filter.Leaves;
import westtide.sound.voice.Strike;

/** A low-pass of 24 dB an octave whose cutoff moves after the attack. */
final class Sweep {
  private static final int EVERY = 16;

  private final Filter first;
  private final Filter second;
  private final double settled;
  private final double octaves;
  private final boolean rising;
  private final double fall;
  private double away = 1;
  private int sample;

  private Sweep(Strike strike, double settled, double octaves, double millis, boolean rising) {
    this.first = new Filter(strike.rate());
    this.second = new Filter(strike.rate());
    this.settled = settled * (0.45 + 1.05 * strike.force());
    this.octaves = octaves;
    this.rising = rising;
    this.fall = Math.pow(Fade.perSample(millis, strike.rate()), EVERY);
  }

  /** A cutoff that starts octaves above and falls to where it stays. */
  static Sweep falling(Strike strike, double settled, double octaves, double millis) {
    return new Sweep(strike, settled, octaves, millis, false);
  }

  /** A cutoff that starts octaves below and opens. */
  static Sweep opening(Strike strike, double settled, double octaves, double millis) {
    return new Sweep(strike, settled, octaves, millis, true);
  }

  /** The next sample below the cutoff. */
  double low(double in) {
    if (sample++ % EVERY == 0) {
      move();
    }
    return second.low(first.low(in));
  }

  /** Leaves of a whole wave what lies below the cutoff. */
  void low(double[] wave) {
    for (int from = 0; from < wave.length; from += EVERY) {
      move();
      int until = Math.min(wave.length, from + EVERY);
      Filter.inTurn(first, Leaves.LOWS, second, Leaves.LOWS, wave, from, until);
    }
  }

  private void move() {
    double cutoff = settled * Math.pow(2, (rising ? -octaves : octaves) * away);
    first.set(cutoff, 0.9);
    second.set(cutoff, 0.62);
    away *= fall;
  }
}
