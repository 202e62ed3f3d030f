package westtide.play;

import java.util.concurrent.atomic.AtomicIntegerArray;
import westtide.song.id.PartId;
import westtide.sound.PreparedScore;
import westtide.sound.loudness.Loudness;

/**
 * What the audio thread tells about itself. It writes without waiting; anyone may read at any time
 * and sees values of the last block or so.
 */
public final class PlaybackMeters {
  private static final int MOST_PARTS = 128;
  private static final float HOLD = 0.97f;

  private final AtomicIntegerArray peaks = new AtomicIntegerArray(MOST_PARTS);
  private volatile PreparedScore score;
  private volatile boolean playing;
  private volatile double tick;
  private volatile int countIn;
  private volatile float peak;
  private volatile double momentary = Loudness.SILENCE;
  private volatile double shortTerm = Loudness.SILENCE;

  /** Whether the song moves or is being counted in. */
  public boolean playing() {
    return playing || countIn > 0;
  }

  /** Where the song is, in ticks from its beginning, as heard. */
  public double tick() {
    return tick;
  }

  /** Beats of the count-in that are still to come; 0 when there is none. */
  public int countIn() {
    return countIn;
  }

  /** The loudest sample of late, before the listening level; 1 is full scale. */
  public float peak() {
    return peak;
  }

  /** Loudness of the last 400 ms in LUFS, before the listening level. */
  public double momentary() {
    return momentary;
  }

  /** Loudness of the last 3 s in LUFS, before the listening level. */
  public double shortTerm() {
    return shortTerm;
  }

  /** The loudest sample of a part of late, after its level; 0 for a part that is not played. */
  public float peak(PartId part) {
    PreparedScore now = score;
    if (now == null) {
      return 0;
    }
    for (int i = 0; i < Math.min(MOST_PARTS, now.parts().size()); i++) {
      if (now.parts().get(i).id().equals(part)) {
        return Float.intBitsToFloat(peaks.get(i));
      }
    }
    return 0;
  }

  void place(boolean moves, double at, int beatsToCome) {
    playing = moves;
    tick = at;
    countIn = beatsToCome;
  }

  void level(PreparedScore present, float blockPeak, Loudness loudness) {
    score = present;
    for (int i = 0; i < Math.min(MOST_PARTS, present.parts().size()); i++) {
      float now = present.parts().get(i).channel().peak();
      float before = Float.intBitsToFloat(peaks.get(i)) * HOLD;
      peaks.lazySet(i, Float.floatToRawIntBits(Math.max(now, before)));
    }
    peak = Math.max(blockPeak, peak * HOLD);
    momentary = loudness.momentary();
    shortTerm = loudness.shortTerm();
  }
}
