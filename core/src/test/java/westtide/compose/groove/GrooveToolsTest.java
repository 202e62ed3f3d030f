package westtide.compose.groove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.id.Seed;
import westtide.song.pattern.Pattern;
import westtide.style.GrooveHabit;
import westtide.style.Style;

/** Fills, building in order, simpler and busier, and feel taken from one groove to another. */
class GrooveToolsTest {
  private static final Pattern.Drums GROOVE =
      Songs.groove(
          2,
          DrumVoice.KICK,
          "x...x...x...x...|x...x...x...x...",
          DrumVoice.SNARE,
          "....X.......X...|....X.......X...",
          DrumVoice.CLOSED_HAT,
          "x.x.x.x.x.x.x3.x.",
          DrumVoice.RIM,
          "x....");

  private static Pattern.Drums filled(FillFamily family) {
    return Fill.in(GROOVE, Meter.COMMON, 1, family, true);
  }

  private static List<Integer> steps(Pattern.Drums groove, DrumVoice voice) {
    int ticks = groove.ticks(Meter.COMMON);
    return groove.find(voice.lane()).orElseThrow().laid(ticks, ticks).stream()
        .map(laid -> laid.tick() / 240)
        .toList();
  }

  /** The first bar of a groove whose second ends in a fill stays as it was. */
  @ParameterizedTest
  @MethodSource("families")
  void aFillOnlyChangesTheEndOfItsBar(FillFamily family) {
    Pattern.Drums fill = filled(family);
    for (DrumLane lane : GROOVE.lanes()) {
      assertThat(steps(fill, lane.voice()).stream().filter(step -> step < 24).toList())
          .as(family + " " + lane.id())
          .isEqualTo(steps(GROOVE, lane.voice()).stream().filter(step -> step < 24).toList());
    }
    assertThat(fill).isNotEqualTo(GROOVE);
  }

  private static Stream<FillFamily> families() {
    return Stream.of(FillFamily.values());
  }

  /** Common practice: each family of fills does what its name says. */
  @Test
  void everyFamilyDoesWhatItSays() {
    assertThat(steps(filled(FillFamily.EXTRA_SNARE), DrumVoice.SNARE)).endsWith(28, 29, 31);
    List<Hit> roll =
        filled(FillFamily.ROLL).lane(DrumVoice.SNARE).orElseThrow().hits().stream()
            .filter(hit -> hit.step() >= 24)
            .toList();
    assertThat(roll).hasSize(8);
    assertThat(roll.stream().map(Hit::velocity).toList()).isSorted();
    List<Hit> toms = filled(FillFamily.TOMS).lane(DrumVoice.TOM).orElseThrow().hits();
    assertThat(toms.stream().map(hit -> -hit.pitch()).toList()).isSorted().hasSize(6);
    assertThat(steps(filled(FillFamily.TOMS), DrumVoice.SNARE)).doesNotContain(28);
    assertThat(steps(filled(FillFamily.KICK_DROP), DrumVoice.KICK)).endsWith(20);
    assertThat(steps(filled(FillFamily.HATS_ONLY), DrumVoice.SNARE)).endsWith(20);
    assertThat(steps(filled(FillFamily.HATS_ONLY), DrumVoice.CLOSED_HAT)).contains(24, 30);
    Pattern.Drums stop = filled(FillFamily.STOP);
    assertThat(stop.lanes())
        .allMatch(lane -> steps(stop, lane.voice()).stream().allMatch(s -> s < 28));
  }

  /** Common practice: kick, clap or snare, open hat, closed hat, percussion, cymbals. */
  @ParameterizedTest
  @MethodSource("styles")
  void aGrooveIsBuiltInOrderUntilAllLanesAreIn(Style style) {
    GrooveHabit habit = style.groove();
    Pattern.Drums groove = BuildOrder.begun(habit, new Seed(1));
    List<Integer> ranks = new ArrayList<>(List.of(BuildOrder.rank(groove.lanes().get(0).voice())));
    assertThat(groove.lanes().get(0).voice()).isEqualTo(DrumVoice.KICK);
    for (Optional<DrawnLane> next = BuildOrder.next(groove, habit, new Seed(1));
        next.isPresent();
        next = BuildOrder.next(groove, habit, new Seed(1))) {
      DrumLane lane = next.get().lane();
      assertThat(lane.lane().hits()).isNotEmpty();
      ranks.add(BuildOrder.rank(lane.voice()));
      groove = groove.with(lane);
    }
    assertThat(ranks).isSorted().hasSizeGreaterThan(3);
  }

  private static Stream<Style> styles() {
    return Songs.book().styles().stream();
  }

  private static int hits(Pattern.Drums groove) {
    return groove.lanes().stream().mapToInt(lane -> lane.lane().hits().size()).sum();
  }

  @ParameterizedTest
  @MethodSource("styles")
  void simplerHasLessAndBusierHasMore(Style style) {
    Pattern.Drums groove =
        (Pattern.Drums) new GrooveDraft(style.groove(), new Seed(4)).draw().get(0).pattern();
    Busyness busyness = new Busyness(Meter.COMMON);
    Pattern.Drums busier = busyness.busier(groove, style.groove(), new Seed(1));
    assertThat(hits(busier)).isGreaterThan(hits(groove));
    assertThat(busyness.busier(groove, style.groove(), new Seed(1))).isEqualTo(busier);
    for (DrumLane lane : groove.lanes()) {
      assertThat(busier.find(lane.id()).orElseThrow().lane().hits())
          .containsAll(lane.lane().hits());
    }
    Pattern.Drums simpler = groove;
    for (int i = 0; i < 30; i++) {
      simpler = busyness.simpler(simpler);
    }
    assertThat(hits(simpler)).isLessThan(hits(groove));
  }

  @Test
  void theBackbeatOutlastsTheGhosts() {
    Pattern.Drums groove =
        Songs.groove(
            1, DrumVoice.SNARE, "...oX..o...oX..o", DrumVoice.CLOSED_HAT, "xoxoxoxoxoxoxoxo");
    Pattern.Drums simpler = groove;
    for (int i = 0; i < 12; i++) {
      simpler = new Busyness(Meter.COMMON).simpler(simpler);
    }
    assertThat(simpler.lane(DrumVoice.SNARE)).contains(StepLane.parse("....X.......X..."));
  }

  /** Taken whole, the feel of a groove makes another as late and as loud, step by step. */
  @Test
  void feelIsTakenByAmount() {
    Pattern.Drums late =
        new Pattern.Drums(
            1,
            List.of(
                DrumLane.of(
                    DrumVoice.CLOSED_HAT,
                    new StepLane(
                        16,
                        List.of(
                            new Hit(0, 120, 0, 1), new Hit(4, 60, 20, 1), new Hit(8, 90, 0, 1))))));
    Pattern.Drums plain = Songs.groove(1, DrumVoice.RIM, "x...x...x...x...");
    GrooveFeel feel = GrooveFeel.of(late, Meter.COMMON);
    StepLane whole = feel.on(plain, Meter.COMMON, 100).lane(DrumVoice.RIM).orElseThrow();
    assertThat(whole.at(4).orElseThrow().nudge()).isEqualTo(20);
    assertThat(whole.at(0).orElseThrow().velocity()).isEqualTo(123);
    assertThat(whole.at(4).orElseThrow().velocity()).isEqualTo(61);
    assertThat(whole.at(12)).contains(Hit.of(12, 92));
    StepLane half = feel.on(plain, Meter.COMMON, 50).lane(DrumVoice.RIM).orElseThrow();
    assertThat(half.at(4).orElseThrow().nudge()).isEqualTo(10);
    assertThat(feel.on(plain, Meter.COMMON, 0)).isEqualTo(plain);
    assertThat(feel.on(late, Meter.COMMON, 100)).isEqualTo(late);
    assertThatThrownBy(() -> feel.on(plain, Meter.COMMON, 101)).hasMessageContaining("0 to 100 %");
  }

  @Test
  void eightBarsTakeTheFillsAndTheCrashThatAreChosen() {
    EightBars growth =
        new EightBars(
            EightBars.Plan.NONE, Map.of(3, FillFamily.KICK_DROP, 7, FillFamily.TOMS), true);
    Pattern.Drums grown = growth.grow(GROOVE, Meter.COMMON, new Seed(1));
    assertThat(steps(grown, DrumVoice.KICK)).doesNotContain(60).contains(44, 64, 124);
    assertThat(steps(grown, DrumVoice.TOM)).allMatch(step -> step >= 122).hasSize(6);
    assertThat(steps(grown, DrumVoice.CRASH)).containsExactly(0);
  }
}
