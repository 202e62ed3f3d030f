package westtide.sound.desk;

import westtide.sound.block.Blocks;

/**
 * One sounding note: a table of samples being mixed into a channel. Belongs to the audio thread;
 * everything it needs is set when it starts.
 */
final class Voice {
  private static final float SILENT = 1e-5f;

  private float[] table = new float[0];
  private int at;
  private float left;
  private float right;
  private float level;
  private float rise;
  private float fall;
  private int startOffset;
  private int releaseOffset = -1;
  private boolean sounding;
  private boolean releasing;

  int startTick;
  int endTick;
  int chokeGroup;
  int holdFrames;
  boolean struck;
  float fallOnEnd;
  float reverb;
  float delay;

  /**
   * Starts a table at a sample of the block; from a later place in the table it comes in over
   * {@code riseFrames} instead of at once.
   */
  void start(float[] samples, int place, int offset, float toLeft, float toRight, int riseFrames) {
    table = samples;
    at = place;
    startOffset = offset;
    left = toLeft;
    right = toRight;
    level = riseFrames == 0 ? 1 : 0;
    rise = riseFrames == 0 ? 0 : 1f / riseFrames;
    releaseOffset = -1;
    releasing = false;
    holdFrames = -1;
    reverb = 0;
    delay = 0;
    sounding = at < table.length;
  }

  boolean sounding() {
    return sounding;
  }

  boolean released() {
    return releasing || releaseOffset >= 0;
  }

  boolean plays(float[] samples) {
    return table == samples;
  }

  int place() {
    return at;
  }

  /** Begins to fall at a sample of the block, by a factor each sample. */
  void release(int offset, float perSample) {
    if (!sounding || (released() && perSample >= fall)) {
      return;
    }
    fall = perSample;
    releaseOffset = releasing ? -1 : Math.max(offset, startOffset);
  }

  /**
   * Adds the next samples to the bus; to its left side alone when {@code middle}. They are copied
   * into {@code taken}, a block, on the way.
   */
  void mix(float[] busLeft, float[] busRight, int frames, boolean middle, float[] taken) {
    int from = startOffset;
    startOffset = 0;
    if (!releasing) {
      int until = releaseOffset >= 0 ? Math.min(releaseOffset, frames) : frames;
      from = steady(busLeft, busRight, from, until, middle, taken);
      if (releaseOffset >= 0) {
        releaseOffset = -1;
        releasing = true;
      }
    }
    if (releasing && sounding) {
      falling(busLeft, busRight, from, frames, middle, taken);
    }
  }

  private int steady(
      float[] busLeft, float[] busRight, int from, int until, boolean middle, float[] taken) {
    int length = Math.min(until - from, table.length - at);
    if (length > 0) {
      System.arraycopy(table, at, taken, from, length);
      for (int i = from; level < 1 && i < from + length; i++) {
        taken[i] *= level;
        level = Math.min(1, level + rise);
      }
      add(taken, busLeft, busRight, from, from + length, middle);
      at += length;
    }
    sounding = at < table.length;
    return Math.max(from, until);
  }

  private void falling(
      float[] busLeft, float[] busRight, int from, int frames, boolean middle, float[] taken) {
    int last = Math.min(frames, from + table.length - at);
    if (last > from) {
      System.arraycopy(table, at, taken, from, last - from);
      float now = level;
      for (int i = from; i < last; i++) {
        taken[i] *= now;
        now *= fall;
      }
      level = now;
      add(taken, busLeft, busRight, from, last, middle);
      at += last - from;
    }
    sounding = at < table.length && level > SILENT;
  }

  private void add(
      float[] taken, float[] busLeft, float[] busRight, int from, int until, boolean middle) {
    Blocks.add(taken, busLeft, left, from, until);
    if (!middle) {
      Blocks.add(taken, busRight, right, from, until);
    }
  }
}
