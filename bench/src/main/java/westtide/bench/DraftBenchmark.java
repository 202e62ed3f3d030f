package westtide.bench;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import westtide.compose.SongDraft;
import westtide.draft.Draft;
import westtide.song.Song;
import westtide.style.Style;
import westtide.style.StyleBook;

/** A whole arrangement drafted, each time from the next seed, with its levels set. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class DraftBenchmark {
  @Param({"trap", "boom-bap", "amapiano", "house", "techno", "future-bass"})
  private String song;

  private Style style;
  private long seed;

  /** Opens the style. */
  @Setup
  public void open() {
    style = StyleBook.shipped().get(song);
  }

  /** From the style to a song ready to be heard. */
  @Benchmark
  public Song draft() {
    SongDraft draft = SongDraft.in(style).withSeed(1 + seed++ % 100);
    return Draft.of(draft).song();
  }
}
