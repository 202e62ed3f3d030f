package westtide.sound;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import westtide.sound.found.FittedSounds;
import westtide.sound.voice.Instrument;
import westtide.sound.voice.Strike;
import westtide.sound.voice.Touch;

/**
 * The tables of samples that were made, so that equal strikes are made once. Tables are asked for
 * first and made together, on all processors; force is kept in sixteen layers, and what is no
 * longer asked for is let go.
 */
final class TableStore {
  private static final int LAYERS = 16;
  private static final double SPARE = 1.3;

  /** What is left of a sound that has all but died away: 40 dB under its peak. */
  private static final float HEARD = 0.01f;

  /** What makes two strikes equal. */
  record Key(
      String instrument,
      Map<String, Integer> settings,
      List<Strike.Pitched> pitches,
      int layer,
      int exactFrames,
      double ratio,
      int turn,
      boolean reversed) {}

  private final Map<Key, Table> tables = new HashMap<>();
  private final int rate;
  private final SharedTables shared;
  private final FittedSounds fitted;

  /** A store of its own, which takes what others of the same rate already made. */
  TableStore(int rate, SharedTables shared) {
    this.rate = rate;
    this.shared = shared;
    this.fitted = new FittedSounds(rate);
  }

  /** The loops that were made to fit. */
  FittedSounds fitted() {
    return fitted;
  }

  /** A table that was asked for; its samples are there once the store has made them. */
  final class Table {
    private final Key key;
    private final Instrument instrument;
    private float[] samples = new float[0];
    private int made = -1;
    private int wanted;
    private boolean used;

    private Table(Key key, Instrument instrument) {
      this.key = key;
      this.instrument = instrument;
    }

    /** The samples, as many as were asked for or fewer when the sound ends by itself. */
    float[] samples() {
      return samples;
    }

    private boolean lacks() {
      return made < wanted;
    }

    private void make() {
      int frames = made < 0 || key.exactFrames() > 0 ? wanted : (int) (wanted * SPARE);
      SharedTables.Made known = shared.find(rate, key, wanted).orElseGet(() -> played(frames));
      samples = known.samples();
      made = known.frames();
    }

    private SharedTables.Made played(int frames) {
      double force = (key.layer() + 0.5) / LAYERS;
      Strike strike = new Strike(rate, frames, key.pitches(), force, key.settings(), key.turn());
      float[] struck = instrument.recipe().play(strike);
      float[] tuned = key.ratio() == 1 ? struck : faster(struck, key.ratio());
      float[] heard = key.reversed() ? reversed(tuned) : tuned;
      return shared.keep(rate, key, new SharedTables.Made(heard, frames));
    }
  }

  /**
   * Asks for the table of a strike that lasts at least that many samples, or shorter when the sound
   * ends by itself.
   *
   * @param frames samples of the strike before it is played faster
   * @param ratio how much faster it is played, as a sampler tunes a drum: higher and shorter
   * @param turn which of its ways it is struck in
   * @param reversed whether it is played backwards, from where it has all but died away
   */
  Table ask(
      Instrument instrument,
      Map<String, Integer> settings,
      List<Strike.Pitched> pitches,
      int velocity,
      int frames,
      double ratio,
      int turn,
      boolean reversed) {
    boolean stretched = instrument.touch() == Touch.STRETCHED || reversed;
    int layer = velocity * LAYERS / 128;
    int exact = stretched ? frames : 0;
    Key key = new Key(instrument.name(), settings, pitches, layer, exact, ratio, turn, reversed);
    Table table = tables.computeIfAbsent(key, fresh -> new Table(fresh, instrument));
    table.used = true;
    table.wanted = Math.max(table.wanted, frames);
    return table;
  }

  /**
   * Makes what was asked for and is not there yet, the longest first. Each processor takes one
   * table after another, so that none is left with the long ones.
   */
  void make() {
    List<Table> lacking = new ArrayList<>(tables.values());
    lacking.removeIf(table -> !table.lacks());
    lacking.sort(Comparator.comparingInt((Table table) -> -table.wanted));
    AtomicInteger taken = new AtomicInteger();
    IntStream.range(0, ForkJoinPool.getCommonPoolParallelism() + 1)
        .parallel()
        .forEach(processor -> makeRest(lacking, taken));
  }

  private static void makeRest(List<Table> lacking, AtomicInteger taken) {
    int next = taken.getAndIncrement();
    while (next < lacking.size()) {
      lacking.get(next).make();
      next = taken.getAndIncrement();
    }
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

  /** Backwards, from the last sample that is within {@link #HEARD} of the loudest. */
  private static float[] reversed(float[] samples) {
    float peak = 0;
    for (float sample : samples) {
      peak = Math.max(peak, Math.abs(sample));
    }
    int length = samples.length;
    while (length > 0 && Math.abs(samples[length - 1]) < peak * HEARD) {
      length--;
    }
    float[] out = new float[length];
    for (int i = 0; i < length; i++) {
      out[i] = samples[length - 1 - i];
    }
    return out;
  }

  /** Lets go of what was not asked for since the last call. */
  void tidy() {
    tables.values().removeIf(table -> !table.used);
    tables.values().forEach(table -> table.used = false);
  }
}
