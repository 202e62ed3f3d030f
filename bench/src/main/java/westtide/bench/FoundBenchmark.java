package westtide.bench;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import westtide.crate.Crate;
import westtide.crate.CrateLoop;
import westtide.found.FoundFacts;
import westtide.found.SoundNotes;
import westtide.song.found.Recording;
import westtide.sound.found.PhaseVocoder;
import westtide.sound.found.Resampler;
import westtide.sound.found.SpliceStretch;

/**
 * A loop of about twenty seconds found out and made to fit. The baseline is repitching it, which is
 * the least that can be done to it.
 */
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 6)
@Measurement(iterations = 8)
@Fork(1)
@State(Scope.Benchmark)
public class FoundBenchmark {
  private static final long SEED = 10;

  private Recording recording;
  private int[] onsets;

  /** Makes the loop and finds its onsets once. */
  @Setup
  public void make() {
    CrateLoop loop = Crate.of(SEED).loop();
    recording = loop.recording();
    onsets = loop.onsets().stream().mapToInt(at -> (int) (at * recording.rate())).toArray();
  }

  /** Beginning, tempo, bars, key, tuning and onsets. */
  @Benchmark
  public FoundFacts foundOut() {
    return FoundFacts.of(recording, SoundNotes.NONE);
  }

  /** The baseline: both sides read a tenth faster. */
  @Benchmark
  public float[][] repitched() {
    Resampler resampler = new Resampler(1.1);
    return new float[][] {resampler.read(recording.side(0)), resampler.read(recording.side(1))};
  }

  /** Both sides a tenth longer with their pitch kept. */
  @Benchmark
  public float[][] stretched() {
    return new PhaseVocoder(recording.rate())
        .stretched(1.1, onsets, recording.side(0), recording.side(1));
  }

  /** The same by splices. */
  @Benchmark
  public float[][] spliced() {
    return new SpliceStretch(recording.rate())
        .stretched(1.1, onsets, recording.side(0), recording.side(1));
  }
}
