package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.Saw;
import westtide.sound.voice.SineTable;
import westtide.sound.voice.Strike;

/** A slow wavering of the pitch that sets in after the attack. */
final class Vibrato {
  /** How fast it usually wavers. */
  static final double USUAL_HERTZ = 5.3;

  private static final double SET_IN_MILLIS = 450;

  /** It goes in a straight line for so many samples. */
  private static final int EVERY = 16;

  private final double depth;
  private final double step;
  private final int rise;
  private double phase;
  private double swing;
  private double towards;
  private int frame;

  Vibrato(Strike strike, double cents, double hertz) {
    depth = cents / 1200 * Math.log(2);
    step = hertz / strike.rate();
    rise = strike.samples(SET_IN_MILLIS);
  }

  /** What the pitch is multiplied by at the next sample. */
  double next() {
    if (depth == 0) {
      return 1;
    }
    if (frame % EVERY == 0) {
      turn();
    }
    frame++;
    swing += towards;
    return 1 + swing;
  }

  /** Adds a saw that wavers so, for as long as the wave is; {@code step} is as of {@link Saw}. */
  void add(Saw saw, double[] wave, double level, double step) {
    if (depth == 0) {
      saw.add(wave, 0, wave.length, level, step, 0);
      return;
    }
    for (int from = 0; from < wave.length; from += EVERY) {
      turn();
      int until = Math.min(wave.length, from + EVERY);
      saw.add(wave, from, until, level, step * (1 + swing + towards), step * towards);
      frame += EVERY;
      swing += EVERY * towards;
    }
  }

  private void turn() {
    phase += EVERY * step;
    double after = depth * Fade.rise(frame + EVERY, rise) * SineTable.at(phase);
    towards = (after - swing) / EVERY;
  }

  /** How the level goes with the pitch now: a few times as much. */
  double swing() {
    return 12 * swing;
  }
}
