package westtide.compose.groove;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.review.Soundings;
import westtide.review.finding.Severity;
import westtide.review.finding.Stage;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.score.Score;
import westtide.score.event.ScoredNote;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.edit.drum.GrooveEdits;
import westtide.song.id.PartId;
import westtide.song.id.Seed;
import westtide.song.pattern.Pattern;
import westtide.style.Style;

@Execution(ExecutionMode.CONCURRENT)
class EightBarsTest {
  private static final Pattern.Drums GROOVE =
      Songs.groove(
          2,
          DrumVoice.KICK,
          "x.....x...x.....|x..x......x.....",
          DrumVoice.SNARE,
          "........x.......|........x.......",
          DrumVoice.CLOSED_HAT,
          "x.x.x.x.x.x.x.x.|x.x.x.x.x.x.x.x.",
          DrumVoice.RIM,
          "x....");

  private static Pattern.Drums grown(EightBars.Plan plan, long seed) {
    return EightBars.of(plan).grow(GROOVE, Meter.COMMON, new Seed(seed));
  }

  private static List<Hit> pair(Pattern.Drums groove, DrumVoice voice, int pair) {
    return groove.lane(voice).orElseThrow().hits().stream()
        .filter(hit -> hit.step() / 32 == pair)
        .map(hit -> hit.withStep(hit.step() % 32))
        .toList();
  }

  /** Common practice: one extra snare the first time, two the second. */
  @Test
  void barFourAndBarEightAreAnswered() {
    StepLane snare = grown(EightBars.Plan.NONE, 1).lane(DrumVoice.SNARE).orElseThrow();
    assertThat(snare.hits().stream().map(Hit::step).filter(step -> step % 16 != 8))
        .containsExactly(63, 125, 127);
  }

  @Test
  void thePlanSaysWhichRepeatsDiffer() {
    for (long seed = 0; seed < 20; seed++) {
      Pattern.Drums last = grown(EightBars.Plan.LAST, seed);
      assertThat(pair(last, DrumVoice.KICK, 1)).isEqualTo(pair(last, DrumVoice.KICK, 0));
      assertThat(pair(last, DrumVoice.KICK, 2)).isEqualTo(pair(last, DrumVoice.KICK, 0));
      assertThat(pair(last, DrumVoice.CLOSED_HAT, 3))
          .isNotEqualTo(pair(last, DrumVoice.CLOSED_HAT, 0));
      Pattern.Drums two = grown(EightBars.Plan.SECOND_AND_LAST, seed);
      assertThat(pair(two, DrumVoice.CLOSED_HAT, 1))
          .isNotEqualTo(pair(two, DrumVoice.CLOSED_HAT, 0));
      assertThat(grown(EightBars.Plan.NONE, seed).lane(DrumVoice.KICK).orElseThrow().over(64))
          .isEqualTo(GROOVE.lane(DrumVoice.KICK).orElseThrow().over(64));
      assertThat(grown(EightBars.Plan.LAST, seed)).isEqualTo(last);
    }
  }

  /** A hit of every fourth pass of two bars is heard once in eight bars, and in the next eight. */
  @Test
  void aHitOfSomePassesIsHeardWhenItWasBefore() {
    Pattern.Drums groove = Songs.groove(2, DrumVoice.TOM, "..x/4.............|................");
    Pattern.Drums grown = EightBars.of(EightBars.Plan.NONE).grow(groove, Meter.COMMON, new Seed(1));
    assertThat(starts(grown)).isEqualTo(starts(groove)).containsExactly(98 * 240, 226 * 240);
  }

  private static List<Integer> starts(Pattern.Drums groove) {
    Song song =
        Songs.oneHook(
            Songs.brief("A minor", 50), "Am", 16, Songs.part("drums", Role.DRUMS, groove));
    return Score.of(song).parts().get(0).notes().stream()
        .filter(note -> note.of(DrumVoice.TOM))
        .map(ScoredNote::start)
        .toList();
  }

  @Test
  void aLaneOfItsOwnLengthGoesOnInItsOwnTime() {
    assertThat(grown(EightBars.Plan.LAST, 1).lane(DrumVoice.RIM))
        .isEqualTo(GROOVE.lane(DrumVoice.RIM));
  }

  private static Stream<Style> styles() {
    return Songs.book().styles().stream();
  }

  @ParameterizedTest
  @MethodSource("styles")
  void everyStylesGrooveGrowsWithoutAnythingSerious(Style style) {
    for (long seed = 0; seed < 5; seed++) {
      Song song = Songs.draft(style.id(), seed);
      Pattern.Drums main =
          (Pattern.Drums) song.parts(Role.DRUMS).get(0).patterns().get(0).pattern();
      Pattern.Drums grown =
          EightBars.of(EightBars.Plan.SECOND_AND_LAST).grow(main, Meter.COMMON, new Seed(seed));
      Song longer = new GrooveEdits(PartId.of("drums"), "A").replace("Grow", grown).apply(song);
      Soundings found = Soundings.of(Score.of(longer), style);
      assertThat(found.at(Stage.DRUMS).findings())
          .as(style.id() + " " + seed)
          .noneMatch(f -> f.severity() == Severity.WARNING);
    }
  }
}
