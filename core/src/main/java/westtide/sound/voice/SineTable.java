package westtide.sound.voice;

/** Sines read from a table with straight lines between its points; wrong by less than 4e-7. */
public final class SineTable {
  private static final int SIZE = 4096;
  private static final double[] POINTS = points();

  private SineTable() {}

  /** The sine of a phase in turns, 0 or more: 0.25 gives 1. */
  public static double at(double turns) {
    double place = (turns - (long) turns) * SIZE;
    int index = (int) place;
    double low = POINTS[index];
    return low + (place - index) * (POINTS[index + 1] - low);
  }

  private static double[] points() {
    double[] out = new double[SIZE + 2];
    for (int i = 0; i < out.length; i++) {
      out[i] = Math.sin(2 * Math.PI * i / SIZE);
    }
    return out;
  }
}
