package westtide.sound.desk;

/**
 * Width without a price in the middle: a late copy is added to one side and taken from the other,
 * so both sides together are what they were. Lows stay where they are.
 */
final class Spread {
  private static final double LATE_MILLIS = 11;
  private static final double LOWS_HERTZ = 200;

  /** How loud the copy is at full width against the middle. */
  private static final float FULL = 1.6f;

  private final float[] late;
  private final float keep;
  private int at;
  private float lows;

  Spread(int rate) {
    late = new float[(int) (LATE_MILLIS / 1000 * rate)];
    keep = (float) (1 - Math.exp(-2 * Math.PI * LOWS_HERTZ / rate));
  }

  void widen(float[] left, float[] right, int frames, float width) {
    float reach = FULL * width;
    for (int i = 0; i < frames; i++) {
      float side = late[at];
      late[at] = 0.5f * (left[i] + right[i]);
      at = at + 1 == late.length ? 0 : at + 1;
      lows += keep * (side - lows);
      float added = reach * (side - lows);
      left[i] += added;
      right[i] -= added;
    }
  }
}
