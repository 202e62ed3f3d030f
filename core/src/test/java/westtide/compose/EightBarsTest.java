package westtide.compose;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.review.Soundings;
import westtide.review.Stage;
import westtide.review.Weight;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.score.Score;
import westtide.song.DrumVoice;
import westtide.song.Pattern;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.edit.DrumEdits;
import westtide.style.Style;

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
    return new EightBars(GROOVE, Meter.COMMON, plan, new Seed(seed)).grow();
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
    Pattern.Drums grown =
        new EightBars(groove, Meter.COMMON, EightBars.Plan.NONE, new Seed(1)).grow();
    StepLane tom = grown.lane(DrumVoice.TOM).orElseThrow();
    assertThat(tom.over(256).stream().map(Hit::step).toList())
        .isEqualTo(
            groove.lane(DrumVoice.TOM).orElseThrow().over(256).stream().map(Hit::step).toList());
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
          (Pattern.Drums) song.part(Role.DRUMS).orElseThrow().variants().get(0).pattern();
      Pattern.Drums grown =
          new EightBars(main, Meter.COMMON, EightBars.Plan.SECOND_AND_LAST, new Seed(seed)).grow();
      Song longer = new DrumEdits("drums", "A").replace("Grow", grown).apply(song);
      Soundings found = Soundings.of(Score.of(longer), style);
      assertThat(found.at(Stage.DRUMS).findings())
          .as(style.id() + " " + seed)
          .noneMatch(f -> f.weight() == Weight.WARNING);
    }
  }
}
