package westtide.sound;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import westtide.score.Score;
import westtide.song.id.PartId;
import westtide.song.mix.Master;
import westtide.sound.desk.Limiter;
import westtide.sound.desk.MixBus;

/**
 * A whole song rendered faster than it plays. The same song gives the same samples every time, on
 * every machine; stems have the length of the mix and add up to what enters its bus.
 */
public final class Mixdown {
  /** The limiter's ceiling in dB below full scale. */
  public static final double CEILING_DB = -1;

  /** How long tails may ring after the last bar, in seconds; the last quarter of one fades out. */
  public static final double TAIL_SECONDS = 4;

  private static final double FADE_SECONDS = 0.25;

  private final Score score;
  private final Preparation preparation;

  /** Takes what is rendered, block by block. */
  @FunctionalInterface
  public interface Sink {
    /** Takes the first {@code frames} samples of both sides. */
    void take(float[] left, float[] right, int frames) throws IOException;
  }

  /**
   * What watches a rendering.
   *
   * @param cancelled asked now and then; when true the rendering ends with nothing
   * @param progress told the share that is done, 0 to 1
   */
  public record Watch(BooleanSupplier cancelled, DoubleConsumer progress) {
    /** Nobody watches. */
    public static final Watch NOBODY = new Watch(() -> false, share -> {});
  }

  private Mixdown(Score score, Preparation preparation) {
    this.score = score;
    this.preparation = preparation;
  }

  /** The rendering of a score at a sample rate, 44 100 or 48 000 Hz. */
  public static Mixdown of(Score score, int rate) {
    return new Mixdown(score, new Preparation(rate));
  }

  /** The sample rate in Hz. */
  public int rate() {
    return preparation.rate();
  }

  /** How many samples a side the mix and every stem have. */
  public long frames() {
    double seconds = score.song().millis() / 1000 + TAIL_SECONDS;
    return Math.round(seconds * rate());
  }

  /** Renders the mix through its bus and limiter; false when it was cancelled. */
  public boolean mix(Sink sink, Watch watch) throws IOException {
    return mastered(new Limiter(rate(), CEILING_DB), null, sink, watch);
  }

  /**
   * Renders what all stems add up to, before the bus of the mix and its limiter; false when it was
   * cancelled.
   */
  public boolean beforeLimiter(Sink sink, Watch watch) throws IOException {
    Delayed out = delayed(sink, 0);
    SongRun run = run();
    RunMix mix = new RunMix(run.parts(), rate());
    return lots(
        run,
        List.of(mix),
        watch,
        out,
        block -> {
          mix.mix(block);
          out.take(mix.left(), mix.right());
        });
  }

  /**
   * Renders one part alone with its share of room and delay, ducked as in the mix, before bus and
   * limiter; false when it was cancelled.
   */
  public boolean stem(PartId part, Sink sink, Watch watch) throws IOException {
    return stems(Map.of(part, sink), watch);
  }

  /**
   * Renders parts each by itself in one pass, with its share of room and delay, ducked and held
   * together with the other drums as in the mix, before bus and limiter; false when it was
   * cancelled.
   */
  public boolean stems(Map<PartId, Sink> sinks, Watch watch) throws IOException {
    SongRun run = run();
    List<RunMix> mixes = new ArrayList<>();
    List<Delayed> outs = new ArrayList<>();
    for (PartRun part : run.parts()) {
      Sink sink = sinks.get(part.part().id());
      if (sink != null) {
        mixes.add(new RunMix(List.of(part), rate()));
        outs.add(delayed(sink, 0));
      }
    }
    if (outs.isEmpty()) {
      run.end();
      return true;
    }
    return lots(
        run,
        mixes,
        watch,
        outs.get(0),
        block -> {
          for (int i = 0; i < outs.size(); i++) {
            mixes.get(i).mix(block);
            outs.get(i).take(mixes.get(i).left(), mixes.get(i).right());
          }
        });
  }

  /** Hears every channel after its strip, as a block is mixed. */
  @FunctionalInterface
  interface Tap {
    /** A block of a channel, from a sample on. */
    void hear(PartId part, float[] left, float[] right, int from, int frames);
  }

  /** Renders the mix through a limiter, every channel being listened to on the way. */
  boolean mastered(Limiter limiter, Tap tap, Sink sink, Watch watch) throws IOException {
    Delayed out = delayed(sink, limiter.lateFrames());
    SongRun run = run();
    RunMix mix = new RunMix(run.parts(), rate());
    MixBus bus = new MixBus(rate(), Engine.BLOCK);
    Master master = score.song().master();
    return lots(
        run,
        List.of(mix),
        watch,
        out,
        block -> {
          mix.mix(block);
          if (tap != null) {
            listen(run, block, tap);
          }
          bus.run(master, mix.left(), mix.right(), Engine.BLOCK);
          limiter.limit(mix.left(), mix.right(), Engine.BLOCK);
          out.take(mix.left(), mix.right());
        });
  }

  private static void listen(SongRun run, int block, Tap tap) {
    for (PartRun part : run.parts()) {
      PartRun.Chunk made = part.made();
      tap.hear(part.part().id(), made.left, made.right, block * Engine.BLOCK, Engine.BLOCK);
    }
  }

  private SongRun run() {
    return new SongRun(preparation.fresh().prepare(score, Audible.ALL), rate());
  }

  private Delayed delayed(Sink sink, int late) {
    return new Delayed(sink, late, frames(), (long) (FADE_SECONDS * rate()));
  }

  /** What is done with each block. */
  @FunctionalInterface
  private interface Taken {
    void take(int block) throws IOException;
  }

  private boolean lots(SongRun run, List<RunMix> mixes, Watch watch, Delayed out, Taken taken)
      throws IOException {
    long frames = frames();
    try {
      while (out.left() > 0) {
        if (watch.cancelled().getAsBoolean()) {
          return false;
        }
        watch.progress().accept(1 - out.left() / (double) frames);
        run.next();
        mixes.forEach(RunMix::begin);
        mixes.forEach(RunMix::end);
        for (int block = 0; block < PartRun.BLOCKS && out.left() > 0; block++) {
          taken.take(block);
        }
      }
    } finally {
      run.end();
    }
    watch.progress().accept(1);
    return true;
  }

  /** Drops what a limiter's look-ahead puts before the song, and fades the very end. */
  private static final class Delayed {
    private final Sink sink;
    private final long frames;
    private final long fade;
    private int skip;
    private long written;

    Delayed(Sink sink, int skip, long frames, long fade) {
      this.sink = sink;
      this.skip = skip;
      this.frames = frames;
      this.fade = fade;
    }

    long left() {
      return frames - written;
    }

    void take(float[] left, float[] right) throws IOException {
      int from = Math.min(skip, Engine.BLOCK);
      skip -= from;
      int length = (int) Math.min(Engine.BLOCK - from, left());
      if (from > 0) {
        System.arraycopy(left, from, left, 0, length);
        System.arraycopy(right, from, right, 0, length);
      }
      for (int i = left() - length <= fade ? 0 : length; i < length; i++) {
        long toEnd = frames - written - i;
        if (toEnd <= fade) {
          left[i] *= toEnd / (float) fade;
          right[i] *= toEnd / (float) fade;
        }
      }
      sink.take(left, right, length);
      written += length;
    }
  }
}
