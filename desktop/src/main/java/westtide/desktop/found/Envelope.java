package westtide.desktop.found;

import westtide.song.found.Recording;

/**
 * How far a recording swings, in equal stretches; computed once, drawn at any width.
 *
 * @param low the lowest sample of each stretch
 * @param high the highest
 */
record Envelope(float[] low, float[] high) {
  private static final int STRETCHES = 6000;

  static Envelope of(Recording recording) {
    int count = Math.min(STRETCHES, Math.max(1, recording.frames()));
    float[] low = new float[count];
    float[] high = new float[count];
    float[] left = recording.side(0);
    float[] right = recording.side(1);
    for (int i = 0; i < count; i++) {
      int from = (int) ((long) i * recording.frames() / count);
      int to = (int) Math.max(from + 1L, (long) (i + 1) * recording.frames() / count);
      for (int at = from; at < Math.min(to, recording.frames()); at++) {
        float sample = (left[at] + right[at]) / 2;
        low[i] = Math.min(low[i], sample);
        high[i] = Math.max(high[i], sample);
      }
    }
    return new Envelope(low, high);
  }

  /** The stretch of a share of the recording, 0 to 1. */
  private int at(double share) {
    return (int) Math.max(0, Math.min(low.length - 1, share * low.length));
  }

  /** The highest between two shares. */
  float high(double from, double to) {
    float out = 0;
    for (int i = at(from); i <= at(to); i++) {
      out = Math.max(out, high[i]);
    }
    return out;
  }

  /** The lowest between two shares. */
  float low(double from, double to) {
    float out = 0;
    for (int i = at(from); i <= at(to); i++) {
      out = Math.min(out, low[i]);
    }
    return out;
  }
}
