package westtide.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
import westtide.rhythm.Feel;
import westtide.rhythm.Hit;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.Meter;
import westtide.rhythm.Roll;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.rhythm.Tempo;
import westtide.score.Score;
import westtide.song.Brief;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.ChordLine;
import westtide.song.chord.Notation;
import westtide.song.chord.Progression;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.form.Cell;
import westtide.song.form.Form;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.theory.Key;

/**
 * A busy groove to score: 64 bars of 16 lanes, half of all steps struck, every fourth hit a roll,
 * swing, varied velocities, accents of five steps and two lanes of their own length.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 6, time = 2)
@Fork(1)
public class GrooveBenchmark {
  private static final int LANES = 16;
  private static final int BARS = 64;

  private Song song;

  /** Builds the song. */
  @Setup
  public void build() {
    Brief brief =
        Brief.of(
            "trap", Tempo.of(140), Feel.FULL, Meter.COMMON, Key.parse("A minor"), Swing.of(57));
    List<DrumLane> lanes = new ArrayList<>();
    for (int i = 0; i < LANES; i++) {
      lanes.add(lane(i));
    }
    Part drums =
        Part.of(
            PartId.of("drums"),
            "Drums",
            Role.DRUMS,
            0,
            List.of(new NamedPattern("A", new Pattern.Drums(2, lanes))));
    Section section =
        Section.of(
            SectionWord.HOOK,
            BARS,
            "hook",
            Map.of(PartId.of("drums"), List.of(new Cell(0, Level.FULL, "A"))));
    Progression row =
        Progression.of(
            "hook",
            Notation.NAMES,
            ChordLine.in(brief.key(), brief.meter()).parse("Am").orElseThrow());
    song =
        new Song(
            "Busy",
            "",
            1,
            brief,
            List.of(row),
            List.of(drums),
            new Form(List.of(section)),
            Set.of(),
            "{}");
  }

  private static DrumLane lane(int index) {
    DrumVoice voice = DrumVoice.values()[index % DrumVoice.values().length];
    int length = index == 3 ? 5 : index == 7 ? 7 : 32;
    StepLane steps = StepLane.empty(length);
    for (int step = index % 2; step < length; step += 2) {
      Hit hit = Hit.of(step, 60 + step);
      steps = steps.with(step % 8 < 2 ? hit.withRoll(Roll.of(4)) : hit);
    }
    DrumLane lane =
        DrumLane.of(new LaneId(voice, 1 + index / DrumVoice.values().length), steps)
            .withFeel(LaneFeel.PLAIN.withVelocity(8).withTicks(4));
    return index % 4 == 0 ? lane.withAccents(Optional.of(StepLane.parse("X.oxo"))) : lane;
  }

  /** Song to score. */
  @Benchmark
  public Score score() {
    return Score.of(song);
  }
}
