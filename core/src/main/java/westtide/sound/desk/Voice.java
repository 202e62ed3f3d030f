package westtide.sound.desk;

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

  /** Adds the next samples to the bus; to its left side alone when {@code middle}. */
  void mix(float[] busLeft, float[] busRight, int frames, boolean middle) {
    int from = startOffset;
    startOffset = 0;
    if (!releasing) {
      int until = releaseOffset >= 0 ? Math.min(releaseOffset, frames) : frames;
      from = steady(busLeft, busRight, from, until, middle);
      if (releaseOffset >= 0) {
        releaseOffset = -1;
        releasing = true;
      }
    }
    if (releasing && sounding) {
      falling(busLeft, busRight, from, frames);
    }
  }

  private int steady(float[] busLeft, float[] busRight, int from, int until, boolean middle) {
    int i = from;
    int room = Math.min(until - from, table.length - at);
    while (level < 1 && room > 0) {
      float sample = table[at++] * level;
      busLeft[i] += sample * left;
      busRight[i] += sample * right;
      level = Math.min(1, level + rise);
      i++;
      room--;
    }
    add(busLeft, table, at, i, room, left);
    if (!middle) {
      add(busRight, table, at, i, room, right);
    }
    at += Math.max(0, room);
    sounding = at < table.length;
    return Math.max(from, until);
  }

  private static void add(
      float[] bus, float[] table, int tableFrom, int busFrom, int length, float gain) {
    for (int i = 0; i < length; i++) {
      bus[busFrom + i] += table[tableFrom + i] * gain;
    }
  }

  private void falling(float[] busLeft, float[] busRight, int from, int frames) {
    int last = Math.min(frames, from + table.length - at);
    float now = level;
    for (int i = from; i < last; i++) {
      float sample = table[at++] * now;
      busLeft[i] += sample * left;
      busRight[i] += sample * right;
      now *= fall;
    }
    level = now;
    sounding = at < table.length && level > SILENT;
  }
}
