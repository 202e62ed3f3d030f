package westtide.sound.voice;

/**
 * A saw or pulse wave whose jumps are rounded over two samples by a polynomial, so that its
 * overtones above half the sample rate stay quiet.
 */
public final class Saw {
  private double phase;

  /** A wave that starts at a phase in turns. */
  public Saw(double startTurns) {
    this.phase = startTurns;
  }

  /** The next sample of a saw, −1 to 1; {@code step} is frequency over sample rate. */
  public double saw(double step) {
    double out = 2 * phase - 1 - rounding(phase, step);
    advance(step);
    return out;
  }

  /** The next sample of a pulse wave that is high for a share of its period. */
  public double pulse(double step, double share) {
    double fallen = phase + 1 - share;
    fallen -= (int) fallen;
    double out = (phase < share ? 1 : -1) + rounding(phase, step) - rounding(fallen, step);
    advance(step);
    return out;
  }

  private void advance(double step) {
    phase += step;
    phase -= (int) phase;
  }

  private static double rounding(double phase, double step) {
    if (phase < step) {
      double near = phase / step;
      return near + near - near * near - 1;
    }
    if (phase > 1 - step) {
      double near = (phase - 1) / step;
      return near * near + near + near + 1;
    }
    return 0;
  }
}
