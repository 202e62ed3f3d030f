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
import westtide.song.Song;
import westtide.sound.Audible;
import westtide.sound.Preparation;
import westtide.sound.PreparedScore;

/** What an edit costs before it is heard: the score, and making it ready with tables kept. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class ScoreBenchmark {
  @Param({"lamp-room-confession", "ferry-without-passengers", "letters-in-the-salt"})
  private String song;

  private final Preparation preparation = new Preparation(48_000);
  private Song read;
  private Score score;

  /** Reads the song and makes its tables. */
  @Setup
  public void read() throws IOException {
    read = Demos.read(song);
    score = Score.of(read);
    preparation.prepare(score, Audible.ALL);
  }

  /** Song to score. */
  @Benchmark
  public Score score() {
    return Score.of(read);
  }

  /** Score to what the audio thread plays. */
  @Benchmark
  public PreparedScore prepare() {
    return preparation.prepare(score, Audible.ALL);
  }
}
