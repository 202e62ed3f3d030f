package westtide.bench;

import java.io.IOException;
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
import westtide.score.Score;
import westtide.sound.Mixdown;

/**
 * A whole demo song at 48 kHz on all processors: from the score, tables made anew, through the
 * limiter, with the collector the command line uses.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 8)
@Measurement(iterations = 15)
@Fork(value = 1, jvmArgsAppend = "-XX:+UseSerialGC")
public class RenderBenchmark {
  @Param({
    "lamp-room-confession",
    "ferry-without-passengers",
    "letters-in-the-salt",
    "salt-market-sunrise",
    "breakwater-alarm",
    "kettle-on-pier-nine"
  })
  private String song;

  private Score score;

  /** Reads the song. */
  @Setup
  public void read() throws IOException {
    score = Score.of(Demos.read(song));
  }

  /** Renders the song; the sum keeps the work from being left out. */
  @Benchmark
  public double mix() throws IOException {
    double[] sum = {0};
    Mixdown.of(score, 48_000).mix((left, right, n) -> sum[0] += left[0], Mixdown.Watch.NOBODY);
    return sum[0];
  }
}
