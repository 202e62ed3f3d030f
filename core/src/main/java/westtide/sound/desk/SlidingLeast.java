package westtide.sound.desk;

/** The least of the last so many values, kept as a row of candidates that only rises. */
final class SlidingLeast {
  private final float[] values;
  private final long[] times;
  private final int length;
  private int first;
  private int count;
  private long now;

  SlidingLeast(int length) {
    this.length = length;
    this.values = new float[length + 1];
    this.times = new long[length + 1];
  }

  void clear() {
    count = 0;
  }

  /** Takes a value and gives the least of the last ones, itself included. */
  float least(float value) {
    while (count > 0 && values[place(count - 1)] >= value) {
      count--;
    }
    values[place(count)] = value;
    times[place(count)] = now;
    count++;
    while (times[first] <= now - length) {
      first = place(1);
      count--;
    }
    now++;
    return values[first];
  }

  private int place(int index) {
    int at = first + index;
    return at >= values.length ? at - values.length : at;
  }
}
