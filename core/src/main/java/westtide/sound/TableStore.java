package westtide.sound;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import westtide.sound.voice.Instrument;
import westtide.sound.voice.Strike;

/**
 * The tables of samples that were made, so that equal strikes are made once. Force is kept in
 * sixteen layers; what is no longer asked for is let go.
 */
final class TableStore {
  private static final int LAYERS = 16;
  private static final double SPARE = 1.3;

  /** What makes two strikes equal. */
  private record Key(
      String instrument,
      Map<String, Integer> settings,
      List<Strike.Pitched> pitches,
      int layer,
      int exactFrames,
      double ratio) {}

  /** A table, and the length that was asked for when it was made. */
  private record Made(float[] samples, int asked) {}

  private final Map<Key, Made> made = new HashMap<>();
  private final Set<Key> used = new HashSet<>();
  private final int rate;

  TableStore(int rate) {
    this.rate = rate;
  }

  /**
   * The table of a strike that lasts at least that many samples, or shorter when the sound ends by
   * itself.
   */
  float[] table(
      Instrument instrument,
      Map<String, Integer> settings,
      List<Strike.Pitched> pitches,
      int velocity,
      int frames) {
    return table(instrument, settings, pitches, velocity, frames, 1);
  }

  /**
   * The same played faster by a ratio, as a sampler tunes a drum: higher and shorter.
   *
   * @param frames samples of the strike before it is played faster
   */
  float[] table(
      Instrument instrument,
      Map<String, Integer> settings,
      List<Strike.Pitched> pitches,
      int velocity,
      int frames,
      double ratio) {
    boolean stretched = instrument.touch() == westtide.sound.voice.Touch.STRETCHED;
    int layer = velocity * LAYERS / 128;
    Key key = new Key(instrument.name(), settings, pitches, layer, stretched ? frames : 0, ratio);
    used.add(key);
    Made found = made.get(key);
    if (found != null && found.asked() >= frames) {
      return found.samples();
    }
    int asked = stretched || found == null ? frames : (int) (frames * SPARE);
    double force = (layer + 0.5) / LAYERS;
    float[] played = instrument.recipe().play(new Strike(rate, asked, pitches, force, settings));
    float[] samples = ratio == 1 ? played : faster(played, ratio);
    made.put(key, new Made(samples, asked));
    return samples;
  }

  /** Reads between samples in a straight line; drums are short and noisy enough for it. */
  private static float[] faster(float[] samples, double ratio) {
    float[] out = new float[(int) ((samples.length - 1) / ratio) + 1];
    for (int i = 0; i < out.length; i++) {
      double at = i * ratio;
      int before = (int) at;
      float next = samples[Math.min(samples.length - 1, before + 1)];
      out[i] = (float) (samples[before] + (at - before) * (next - samples[before]));
    }
    return out;
  }

  /** Lets go of what was not asked for since the last call. */
  void tidy() {
    made.keySet().retainAll(used);
    used.clear();
  }
}
