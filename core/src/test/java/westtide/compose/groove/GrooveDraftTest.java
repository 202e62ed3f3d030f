package westtide.compose.groove;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import westtide.Songs;
import westtide.rhythm.Hit;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.id.Seed;
import westtide.song.pattern.Pattern;
import westtide.style.GrooveHabit;
import westtide.style.LaneHabit;
import westtide.style.Style;

/** Grooves of a style: never the same for long, and never another style's. */
class GrooveDraftTest {
  private static final int SEEDS = 40;
  private static final int BAR = 16;

  private static Stream<Style> styles() {
    return Songs.book().styles().stream();
  }

  private static Pattern.Drums groove(Style style, long seed) {
    return (Pattern.Drums) new GrooveDraft(style.groove(), new Seed(seed)).draw().get(0).pattern();
  }

  private static List<StepLane> figures(LaneHabit habit) {
    return habit.texts().stream().map(StepLane::parse).toList();
  }

  private static Set<Integer> places(List<StepLane> figures) {
    return figures.stream()
        .flatMap(figure -> figure.hits().stream())
        .map(hit -> hit.step() % BAR)
        .collect(Collectors.toSet());
  }

  /** What every figure of a style has is what the style is known by; no draft lacks it. */
  @ParameterizedTest
  @MethodSource("styles")
  void whatAllFiguresShareIsInEveryDraft(Style style) {
    for (long seed = 0; seed < SEEDS; seed++) {
      Pattern.Drums groove = groove(style, seed);
      for (var entry : style.groove().lanes().entrySet()) {
        if (entry.getKey().voice() != DrumVoice.PERCUSSION) {
          List<StepLane> figures = figures(entry.getValue());
          Set<Integer> drawn = steps(groove.find(entry.getKey()));
          assertThat(drawn).as(seed + " " + entry.getKey()).containsAll(shared(figures));
        }
      }
    }
  }

  private static Set<Integer> steps(Optional<DrumLane> lane) {
    return lane.stream()
        .flatMap(l -> l.lane().hits().stream())
        .map(Hit::step)
        .collect(Collectors.toSet());
  }

  private static Set<Integer> shared(List<StepLane> figures) {
    Set<Integer> out =
        new HashSet<>(steps(Optional.of(DrumLane.of(DrumVoice.KICK, figures.get(0)))));
    figures.forEach(f -> out.removeIf(step -> f.at(step).isEmpty()));
    return out;
  }

  /** Kick, snare, clap and hats stand only where some figure of the style has them in its bar. */
  @ParameterizedTest
  @MethodSource("styles")
  void hitsStandOnPlacesOfTheStyle(Style style) {
    for (long seed = 0; seed < SEEDS; seed++) {
      for (DrumLane lane : groove(style, seed).lanes()) {
        LaneHabit habit = style.groove().lanes().get(lane.id());
        if (!habit.answers()) {
          Set<Integer> drawn =
              lane.lane().hits().stream().map(h -> h.step() % BAR).collect(Collectors.toSet());
          assertThat(places(figures(habit))).as(seed + " " + lane.id()).containsAll(drawn);
        }
      }
    }
  }

  @ParameterizedTest
  @MethodSource("styles")
  void rollsHaveStrokesTheStyleRolls(Style style) {
    for (long seed = 0; seed < SEEDS; seed++) {
      for (DrumLane lane : groove(style, seed).lanes()) {
        List<Integer> usual =
            figures(style.groove().lanes().get(lane.id())).stream()
                .flatMap(figure -> figure.hits().stream())
                .map(Hit::strokes)
                .toList();
        assertThat(lane.lane().hits()).allMatch(hit -> usual.contains(hit.strokes()));
      }
    }
  }

  /** Common practice: percussion answers the gaps. */
  @ParameterizedTest
  @MethodSource("styles")
  void answeringLanesKeepClearOfKickAndBackbeat(Style style) {
    for (long seed = 0; seed < SEEDS; seed++) {
      Pattern.Drums groove = groove(style, seed);
      for (DrumLane lane : groove.lanes()) {
        if (style.groove().lanes().get(lane.id()).answers()) {
          assertThat(steps(Optional.of(lane)))
              .as(seed + " " + lane.id())
              .doesNotContainAnyElementsOf(loud(groove));
        }
      }
    }
  }

  private static Set<Integer> loud(Pattern.Drums groove) {
    return groove.lanes().stream()
        .filter(lane -> lane.voice().backbone())
        .flatMap(lane -> lane.lane().over(groove.bars() * BAR).stream())
        .filter(hit -> hit.velocity() > 56)
        .map(Hit::step)
        .collect(Collectors.toSet());
  }

  /** One lane drawn again from the same seed is the lane the whole groove has. */
  @ParameterizedTest
  @MethodSource("styles")
  void aLaneDrawnAloneIsTheOneOfTheWholeGroove(Style style) {
    for (long seed = 0; seed < 10; seed++) {
      Pattern.Drums groove = groove(style, seed);
      GrooveDraft draft = new GrooveDraft(style.groove(), new Seed(seed));
      for (DrumLane lane : groove.lanes()) {
        assertThat(draft.draw(lane.id(), groove).orElseThrow().lane()).isEqualTo(lane);
      }
    }
  }

  @ParameterizedTest
  @MethodSource("styles")
  void takesSeldomAgree(Style style) {
    Set<Pattern.Drums> takes = new HashSet<>();
    for (long seed = 0; seed < SEEDS; seed++) {
      takes.add(groove(style, seed));
    }
    assertThat(takes).hasSizeGreaterThan(SEEDS / 4);
  }

  /** Whatever departs from the figures is told, and a figure taken as it is says that. */
  @ParameterizedTest
  @MethodSource("styles")
  void everyChoiceSaysWhatItIs(Style style) {
    for (long seed = 0; seed < SEEDS; seed++) {
      Pattern.Drums groove = groove(style, seed);
      GrooveDraft draft = new GrooveDraft(style.groove(), new Seed(seed));
      for (DrumLane lane : groove.lanes()) {
        DrawnLane drawn = draft.draw(lane.id(), groove).orElseThrow();
        boolean figure =
            figures(style.groove().lanes().get(lane.id())).stream()
                .anyMatch(f -> steps(f).equals(steps(lane.lane())));
        assertThat(figure || !drawn.reasons().isEmpty()).as(drawn.words()).isTrue();
      }
    }
  }

  private static List<Integer> steps(StepLane lane) {
    return lane.hits().stream().map(Hit::step).toList();
  }

  private static GrooveHabit habit(DrumVoice voice, boolean answers, String... texts) {
    GrooveHabit trap = Songs.book().get("trap").groove();
    LaneHabit lane = new LaneHabit(List.of(texts), StepGrid.SIXTEENTHS, 0, 0, "", answers);
    return new GrooveHabit(
        1,
        java.util.Map.of(voice.lane(), lane),
        List.of(),
        trap.fills(),
        trap.hitsPerBar(),
        trap.schools());
  }

  @Test
  void figuresThatHaveLittleInCommonAreNotMixed() {
    GrooveHabit habit = habit(DrumVoice.KICK, false, "x...x...x...x...", "x.....x..x....x.");
    LaneId kick = DrumVoice.KICK.lane();
    for (long seed = 0; seed < SEEDS; seed++) {
      StepLane lane =
          new GrooveDraft(habit, new Seed(seed))
              .draw(kick, new Pattern.Drums(1, List.of()))
              .orElseThrow()
              .lane()
              .lane();
      assertThat(steps(lane)).isIn(List.of(0, 4, 8, 12), List.of(0, 6, 9, 14));
    }
  }

  @Test
  void anAnswerGoesToTheNearestFreeStepAfterWhatCoversIt() {
    GrooveHabit habit = habit(DrumVoice.PERCUSSION, true, "......o.........");
    Pattern.Drums heard = Songs.groove(1, DrumVoice.KICK, "x.....xx........");
    DrawnLane drawn =
        new GrooveDraft(habit, new Seed(1)).draw(DrumVoice.PERCUSSION.lane(), heard).orElseThrow();
    assertThat(steps(drawn.lane().lane())).containsExactly(5);
    assertThat(drawn.words()).isEqualTo("1.2.2 answers what kick and backbeat do at 1.2.3");
  }
}
