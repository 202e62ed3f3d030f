package westtide.sound;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.function.Predicate;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.id.PartId;
import westtide.song.mix.Master;
import westtide.sound.desk.MixBus;
import westtide.sound.effect.Limiter;

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
    return mixAndStems(sink, Map.of(), watch);
  }

  /**
   * Renders what all stems add up to, before the bus of the mix and its limiter; false when it was
   * cancelled.
   */
  public boolean beforeLimiter(Sink sink, Watch watch) throws IOException {
    SongRun run = run();
    return lots(run, List.of(unmastered(run.parts(), sink)), watch);
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
   * cancelled. What no stem needs is not rendered.
   */
  public boolean stems(Map<PartId, Sink> sinks, Watch watch) throws IOException {
    SongRun run = run(part -> needed(part, sinks.keySet()));
    return lots(run, stems(run, sinks), watch);
  }

  /** Drums held together are all needed for any of them. */
  private boolean needed(Part part, Set<PartId> wanted) {
    boolean together = part.role() == Role.DRUMS && score.song().master().shapesDrums();
    return wanted.contains(part.id())
        || together
            && score.song().parts(Role.DRUMS).stream().anyMatch(drum -> wanted.contains(drum.id()));
  }

  /**
   * Renders the mix and parts each by itself, as {@link #mix} and {@link #stems} do, in one pass:
   * what each part plays is made once for both. False when it was cancelled.
   */
  public boolean mixAndStems(Sink mix, Map<PartId, Sink> stems, Watch watch) throws IOException {
    return mastered(new Limiter(rate(), CEILING_DB), Tap.NOBODY, mix, stems, watch);
  }

  /** Hears every channel after its strip, as a block is mixed. */
  @FunctionalInterface
  interface Tap {
    /** Nobody listens. */
    Tap NOBODY = (part, left, right, from, frames) -> {};

    /** A block of a channel, from a sample on. */
    void hear(PartId part, float[] left, float[] right, int from, int frames);
  }

  /** Renders the mix through a limiter, every channel being listened to on the way. */
  boolean mastered(Limiter limiter, Tap tap, Sink sink, Watch watch) throws IOException {
    return mastered(limiter, tap, sink, Map.of(), watch);
  }

  private boolean mastered(
      Limiter limiter, Tap tap, Sink sink, Map<PartId, Sink> stems, Watch watch)
      throws IOException {
    SongRun run = run();
    List<Output> outputs = new ArrayList<>(stems(run, stems));
    MixBus bus = new MixBus(rate(), Engine.BLOCK);
    Master master = score.song().master();
    outputs.add(
        new Output(
            new RunMix(run.parts(), rate()),
            delayed(sink, limiter.lateFrames()),
            (block, left, right) -> {
              listen(run, block, tap);
              bus.run(master, left, right, Engine.BLOCK);
              limiter.limit(left, right, Engine.BLOCK);
            }));
    return lots(run, outputs, watch);
  }

  private List<Output> stems(SongRun run, Map<PartId, Sink> sinks) {
    return run.parts(sinks.keySet()).stream()
        .map(part -> unmastered(List.of(part), sinks.get(part.part().id())))
        .toList();
  }

  private Output unmastered(List<PartRun> parts, Sink sink) {
    return new Output(new RunMix(parts, rate()), delayed(sink, 0), (block, left, right) -> {});
  }

  private static void listen(SongRun run, int block, Tap tap) {
    for (PartRun part : run.parts()) {
      PartRun.Chunk made = part.made();
      tap.hear(part.part().id(), made.left, made.right, block * Engine.BLOCK, Engine.BLOCK);
    }
  }

  private SongRun run() {
    return run(part -> true);
  }

  private SongRun run(Predicate<Part> wanted) {
    return new SongRun(preparation.fresh().prepare(score, Audible.ALL, wanted), rate());
  }

  private Delayed delayed(Sink sink, int late) {
    return new Delayed(sink, late, frames(), (long) (FADE_SECONDS * rate()));
  }

  /** What is done to a block of a mix before it leaves. */
  @FunctionalInterface
  private interface Finish {
    void run(int block, float[] left, float[] right);
  }

  /** A mix of some parts on its way to a sink. */
  private record Output(RunMix mix, Delayed out, Finish finish) {
    boolean open() {
      return out.left() > 0;
    }

    void take(int block) throws IOException {
      mix.mix(block);
      finish.run(block, mix.left(), mix.right());
      out.take(mix.left(), mix.right());
    }
  }

  private boolean lots(SongRun run, List<Output> outputs, Watch watch) throws IOException {
    long frames = frames();
    try {
      while (outputs.stream().anyMatch(Output::open)) {
        if (watch.cancelled().getAsBoolean()) {
          return false;
        }
        watch.progress().accept(1 - outputs.get(0).out().left() / (double) frames);
        run.next();
        outputs.forEach(output -> output.mix().begin());
        outputs.forEach(output -> output.mix().end());
        for (int block = 0; block < PartRun.BLOCKS; block++) {
          for (Output output : outputs) {
            if (output.open()) {
              output.take(block);
            }
          }
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
