package westtide.sound.instrument;

import westtide.sound.voice.Fade;
import westtide.sound.voice.SineTable;
import westtide.sound.voice.Strike;

/** A slow wavering of the pitch that sets in after the attack. */
final class Vibrato {
  /** How fast it usually wavers. */
  static final double USUAL_HERTZ = 5.3;

  private static final double SET_IN_MILLIS = 450;

  private final double depth;
  private final double step;
  private final int rise;
  private double phase;
  private double swing;
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
    swing = depth * Fade.rise(frame++, rise) * SineTable.at(phase);
    phase += step;
    return 1 + swing;
  }

  /** How the level goes with the pitch now: a few times as much. */
  double swing() {
    return 12 * swing;
  }
}
