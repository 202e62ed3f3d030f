package westtide.desktop.form;

import westtide.song.form.Level;

/** The water in a tank: how high it stands for a level, and its outline with small waves. */
final class TankWater {
  private static final int STEPS = 8;
  private static final double WAVE = 44;
  private static final double[] SHARES = {0, 0.24, 0.5, 0.78, 1};

  private TankWater() {}

  /** The share of the tank a level fills, 0 to 1. */
  static double share(Level level) {
    return SHARES[level.ordinal()];
  }

  /** Points of the outline: the surface in many short steps, then both lower corners. */
  static double[] outline(double from, double to, double surface, double bottom) {
    int steps = Math.max(1, (int) Math.round((to - from) / WAVE)) * STEPS;
    double[] out = new double[2 * (steps + 3)];
    for (int i = 0; i <= steps; i++) {
      out[2 * i] = from + (to - from) * i / steps;
      out[2 * i + 1] = surface + 1.2 * Math.sin(2 * Math.PI * i / STEPS);
    }
    out[2 * steps + 2] = to;
    out[2 * steps + 3] = bottom;
    out[2 * steps + 4] = from;
    out[2 * steps + 5] = bottom;
    return out;
  }
}
