package westtide.bench;

import java.util.List;
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
import westtide.compose.form.TransitionDraft;
import westtide.review.Soundings;
import westtide.review.finding.Severity;
import westtide.review.form.Energy;
import westtide.rhythm.Hit;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.edit.form.FormEdits;
import westtide.song.id.SectionId;
import westtide.song.mix.Curve;
import westtide.style.Style;
import westtide.style.StyleBook;

/** A song of 16 parts and 150 bars: its score, everything that is found in it, and one hit more. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class EnsembleBenchmark {
  private Song song;
  private Song edited;
  private Score score;
  private Style style;
  private Song announced;
  private Score scored;
  private Song moved;

  /** Grows the song, and the same song with one hit more. */
  @Setup
  public void grow() {
    song = LargeSongs.ensemble();
    score = Score.of(song);
    style = StyleBook.shipped().get("house");
    Part drums = song.parts(Role.DRUMS).get(0);
    edited =
        new DrumEdits(drums.id(), drums.usual().name())
            .place(DrumVoice.CLOSED_HAT.lane(), Hit.of(1, 60))
            .apply(song);
  }

  /** The song with every section announced and a curve, and the same with one change more. */
  @Setup
  public void announce() {
    Song plain = LargeSongs.ensemble();
    Song marked =
        new TransitionDraft(StyleBook.shipped().get("house"), plain).propose().apply(plain);
    SectionId section = marked.form().id(7);
    Part keys = marked.parts(Role.CHORDS).get(0);
    announced =
        FormEdits.curves(
                section, keys.id(), List.of(Curve.straight(Curve.Kind.LOW_PASS, 400, 20_000)))
            .apply(marked);
    scored = Score.of(announced);
    moved = FormEdits.resize(section, 12).apply(announced);
  }

  /** The score after a section became longer, which reaches every part. */
  @Benchmark
  public Score formEdit() {
    return scored.after(moved);
  }

  /** The energy of every bar, as the tide chart draws it. */
  @Benchmark
  public Energy energy() {
    return Energy.of(scored);
  }

  /** Song to score. */
  @Benchmark
  public Score score() {
    return Score.of(song);
  }

  /** All findings of all stages. */
  @Benchmark
  public int findings() {
    return Soundings.of(score, style).findings(Severity.WARNING).size();
  }

  /** The score after one hit more, from the score before it. */
  @Benchmark
  public Score edit() {
    return score.after(edited);
  }
}
