package westtide.sound;

import java.io.IOException;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import westtide.score.Score;
import westtide.song.id.PartId;
import westtide.sound.desk.Limiter;

/**
 * A whole song rendered faster than it plays. The same song gives the same samples every time, on
 * every machine; stems have the length of the mix and add up to what enters its limiter.
 */
public final class Mixdown {
  /** The limiter's ceiling in dB below full scale. */
  public static final double CEILING_DB = -1;

  /** How long tails may ring after the last bar, in seconds; the last quarter of one fades out. */
  public static final double TAIL_SECONDS = 4;

  private static final double FADE_SECONDS = 0.25;
  private static final int BLOCKS_A_REPORT = 64;

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

  /** Renders the mix through its limiter; false when it was cancelled. */
  public boolean mix(Sink sink, Watch watch) throws IOException {
    return render(Audible.ALL, Optional.of(new Limiter(rate(), CEILING_DB)), null, sink, watch);
  }

  /** Renders the mix as it enters the limiter; false when it was cancelled. */
  public boolean beforeLimiter(Sink sink, Watch watch) throws IOException {
    return render(Audible.ALL, Optional.empty(), null, sink, watch);
  }

  /**
   * Renders one part alone with its share of room and delay, ducked as in the mix, without the
   * limiter; false when it was cancelled.
   */
  public boolean stem(PartId part, Sink sink, Watch watch) throws IOException {
    Audible alone = new Audible(Set.of(), Set.of(part.value()));
    return render(alone, Optional.empty(), null, sink, watch);
  }

  /** Renders the mix through a limiter, every channel being listened to on the way. */
  boolean tapped(Limiter limiter, Engine.Tap tap, Sink sink, Watch watch) throws IOException {
    return render(Audible.ALL, Optional.of(limiter), tap, sink, watch);
  }

  private boolean render(
      Audible audible, Optional<Limiter> limiter, Engine.Tap tap, Sink sink, Watch watch)
      throws IOException {
    Engine engine = new Engine(rate(), preparation.fresh().prepare(score, audible), tap);
    Transport transport = new Transport(engine, rate());
    transport.play(0);
    int late = limiter.map(Limiter::lateFrames).orElse(0);
    long frames = frames();
    Delayed out = new Delayed(sink, late, frames, (long) (FADE_SECONDS * rate()));
    for (long block = 0; out.left() > 0; block++) {
      if (block % BLOCKS_A_REPORT == 0) {
        if (watch.cancelled().getAsBoolean()) {
          return false;
        }
        watch.progress().accept(1 - out.left() / (double) frames);
      }
      transport.block();
      limiter.ifPresent(l -> l.limit(engine.left(), engine.right(), Engine.BLOCK));
      out.take(engine.left(), engine.right());
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
