package westtide.sound.found;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import westtide.rhythm.Tempo;
import westtide.song.found.Fit;
import westtide.song.found.FoundSound;
import westtide.song.found.Recording;
import westtide.song.found.Take;

/**
 * Loops made to fit, the last few kept: stretched as a whole at their own rate, then read at the
 * rate and pitch that are wanted. Safe for use by any thread; the audio thread never asks.
 */
public final class FittedSounds {
  /** Asks for both sides as one. */
  public static final int MIDDLE = -1;

  private static final int KEPT = 6;
  private static final double RING_SECONDS = 0.05;
  private static final double EDGE_SECONDS = 0.002;

  private final int rate;
  private final Map<Object, Fitted> fitted =
      new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Object, Fitted> eldest) {
          return size() > KEPT;
        }
      };

  /** What makes two loops the same once they are fitted. */
  private record Shape(
      String recording,
      int from,
      int to,
      double stretch,
      double speed,
      Fit.Way way,
      List<Integer> transients) {}

  private record Fitted(float[][] sides, double perSample) {}

  /** Fitted sounds at a rate in Hz. */
  public FittedSounds(int rate) {
    this.rate = rate;
  }

  /** What tells the samples of a take from all others; equal for equal samples. */
  public static Object identity(FoundSound sound, Take take, Tempo tempo) {
    return List.of(
        sound.recording().id(),
        sound.recording().isThere(),
        sound.downbeat(),
        sound.end(),
        sound.begins(take.piece()),
        sound.ends(take.piece()),
        sound.times(tempo),
        sound.pitch(tempo),
        sound.fit().way(),
        transients(sound, tempo),
        take);
  }

  /**
   * The samples of a side, 0, 1 or {@link #MIDDLE}, of a take in a song of a tempo, ringing on for
   * a moment.
   */
  public float[] samples(FoundSound sound, Take take, Tempo tempo, int side) {
    if (!sound.recording().isThere()) {
      return new float[1];
    }
    Fitted whole = fitted(sound, tempo);
    float[] from =
        side == MIDDLE
            ? Recording.middle(whole.sides())
            : whole.sides()[Math.min(side, whole.sides().length - 1)];
    int start = place(sound.begins(take.piece()) - sound.downbeat(), whole, from);
    int end = place(sound.ends(take.piece()) - sound.downbeat(), whole, from);
    int ring = take.reversed() ? 0 : (int) (RING_SECONDS * rate);
    float[] piece = copied(from, start, Math.min(from.length, end + ring));
    if (take.reversed()) {
      reverse(piece);
      softenEdges(piece);
    }
    return take.semitones() == 0
        ? piece
        : new Resampler(Math.pow(2, take.semitones() / 12.0)).read(piece);
  }

  /** How many samples a take lasts at most. */
  public int frames(FoundSound sound, Take take, Tempo tempo) {
    double seconds =
        (sound.ends(take.piece()) - sound.begins(take.piece())) / (double) sound.recording().rate();
    double moved = Math.pow(2, -take.semitones() / 12.0);
    double times =
        sound.fit().way() == Fit.Way.SLICES ? 1 / sound.pitch(tempo) : sound.times(tempo);
    return (int) Math.ceil((seconds * times * moved + RING_SECONDS) * rate) + 1;
  }

  private static int place(double samples, Fitted whole, float[] in) {
    return (int) Math.max(0, Math.min(in.length - 1L, Math.round(samples * whole.perSample())));
  }

  private static float[] copied(float[] from, int start, int end) {
    float[] out = new float[Math.max(1, end - start)];
    System.arraycopy(from, start, out, 0, Math.min(out.length, from.length - start));
    return out;
  }

  private static void reverse(float[] samples) {
    for (int i = 0; i < samples.length / 2; i++) {
      float kept = samples[i];
      samples[i] = samples[samples.length - 1 - i];
      samples[samples.length - 1 - i] = kept;
    }
  }

  private void softenEdges(float[] samples) {
    int edge = Math.min(samples.length / 2, (int) (EDGE_SECONDS * rate));
    for (int i = 0; i < edge; i++) {
      samples[i] *= i / (float) edge;
      samples[samples.length - 1 - i] *= i / (float) edge;
    }
  }

  private Fitted fitted(FoundSound sound, Tempo tempo) {
    double pitch = sound.pitch(tempo);
    double stretch = sound.stretch(tempo);
    double speed = pitch * sound.recording().rate() / rate;
    double own = Math.abs(speed - 1) < 1e-9 ? 1 : speed;
    Shape shape =
        new Shape(
            sound.recording().id(),
            sound.downbeat(),
            sound.end(),
            stretch,
            own,
            sound.fit().way(),
            transients(sound, tempo));
    synchronized (fitted) {
      return fitted.computeIfAbsent(shape, fresh -> made(sound, stretch, own));
    }
  }

  /**
   * Where a stretched sound begins anew; one that is not stretched is the same wherever it is cut.
   */
  private static List<Integer> transients(FoundSound sound, Tempo tempo) {
    return sound.stretch(tempo) == 1 ? List.of() : sound.marks();
  }

  private Fitted made(FoundSound sound, double stretch, double speed) {
    int ring = (int) (2 * RING_SECONDS * sound.recording().rate());
    int from = sound.downbeat();
    int to = Math.min(sound.recording().frames(), sound.end() + ring);
    int channels = sound.recording().channels();
    float[][] sides = new float[channels][];
    for (int side = 0; side < channels; side++) {
      sides[side] = copied(sound.recording().side(side), from, to);
    }
    double held = Math.max(0.25, Math.min(4, stretch));
    float[][] stretched = stretched(sound, held, sides);
    Resampler resampler = new Resampler(speed);
    float[][] out = new float[channels][];
    for (int side = 0; side < channels; side++) {
      out[side] = resampler.read(stretched[side]);
    }
    return new Fitted(out, held / speed);
  }

  private static float[][] stretched(FoundSound sound, double times, float[]... sides) {
    if (times == 1) {
      return sides;
    }
    int rate = sound.recording().rate();
    int[] begins =
        sound.marks().stream().mapToInt(mark -> mark - sound.downbeat()).sorted().toArray();
    return sound.fit().way() == Fit.Way.SPLICE
        ? new SpliceStretch(rate).stretched(times, begins, sides)
        : new PhaseVocoder(rate).stretched(times, begins, sides);
  }
}
