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
import westtide.review.Soundings;
import westtide.rhythm.Tempo;
import westtide.score.Score;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;
import westtide.style.Style;
import westtide.style.StyleBook;
import westtide.theory.Key;

/** What a late change of tempo or key costs until everything is scored and measured again. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class EditBenchmark {
  @Param({"lamp-room-confession", "ferry-without-passengers", "letters-in-the-salt"})
  private String song;

  private final Edit faster = BriefEdits.tempo(Tempo.of(131));
  private final Edit major = BriefEdits.key(Key.parse("Eb major"));
  private Song read;
  private Style style;

  /** Reads the song and its style. */
  @Setup
  public void read() throws IOException {
    read = Demos.read(song);
    style = StyleBook.shipped().get(read.brief().style());
  }

  /** Another tempo. */
  @Benchmark
  public Soundings tempo() {
    return measured(faster);
  }

  /** Another home note and another mode. */
  @Benchmark
  public Soundings key() {
    return measured(major);
  }

  private Soundings measured(Edit edit) {
    return Soundings.of(Score.of(edit.apply(read)), style);
  }
}
