package westtide.rhythm;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.text.Reading;

class StepLaneTest {
  @ParameterizedTest
  @ValueSource(strings = {"x.o.X3..", "....", "x8", "X.oxo", "x.x.x.x3.x.x.x.x4.", "x/4..o3/2."})
  void textReadsBack(String text) {
    assertThat(StepLane.parse(text)).hasToString(text);
  }

  @Test
  void barLinesAndSpacesAreForTheEye() {
    StepLane lane = StepLane.parse("x... x... | x... x3...");
    assertThat(lane.length()).isEqualTo(16);
    assertThat(lane.at(12)).contains(Hit.of(12, Velocity.HIT).withStrokes(3));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", " | ", "x.y", "3x", ".3", "x9", "x33", "x/0", "x/65", "x/"})
  void otherTextIsRefused(String text) {
    assertThatThrownBy(() -> StepLane.parse(text)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aRollSharesItsStepAndRises() {
    Hit roll = Hit.of(0, 100).withStrokes(3);
    assertThat(new int[] {roll.offset(0, 240), roll.offset(1, 240), roll.offset(2, 240)})
        .containsExactly(0, 80, 160);
    assertThat(roll.velocity(0)).isLessThan(roll.velocity(1));
    assertThat(roll.velocity(2)).isEqualTo(100);
  }

  @Test
  void placingAndTakingAwayAreOpposites() {
    StepLane lane = StepLane.parse("x...x...");
    assertThat(lane.with(Hit.of(3, 40)).without(3)).isEqualTo(lane);
    assertThat(lane.with(Hit.of(4, 40)).at(4)).map(Hit::velocity).contains(40);
    assertThatThrownBy(() -> lane.with(Hit.of(8, 40))).hasMessageContaining("no step 9");
  }

  @Test
  void aLaneOfItsOwnLengthRunsAgainstTheBar() {
    assertThat(steps(StepLane.parse("x....").over(16))).containsExactly(0, 5, 10, 15);
    assertThat(steps(StepLane.parse("x.......o.......").over(8))).containsExactly(0);
    assertThat(StepLane.parse("x").over(2000)).hasSize(2000);
  }

  private static List<Integer> steps(List<Hit> hits) {
    return hits.stream().map(Hit::step).toList();
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 128, -3})
  void velocitiesOutsideMidiAreRefused(int velocity) {
    assertThatThrownBy(() -> Hit.of(0, velocity)).hasMessageContaining("1 to 127");
  }

  @ParameterizedTest
  @CsvSource({"x.y., 3", "x...|x.z, 8", "x3.9, 4", "'', 1", "..x/99, 3"})
  void aWrongSignIsPointedAt(String text, int column) {
    assertThat(((Reading.Problem<StepLane>) LaneText.read(text)).column()).isEqualTo(column);
  }

  @Test
  void aChanceIsSeededAndAboutAsLikelyAsItSays() {
    When half = When.ALWAYS.withPercent(50).withSeed(7);
    long played = IntStream.range(0, 2000).filter(pass -> half.plays(pass(pass), 3)).count();
    assertThat(played).isBetween(900L, 1100L);
    assertThat(IntStream.range(0, 99).filter(p -> half.plays(pass(p), 3)).boxed().toList())
        .isEqualTo(IntStream.range(0, 99).filter(p -> half.plays(pass(p), 3)).boxed().toList());
    assertThat(IntStream.range(0, 99).allMatch(p -> When.ALWAYS.plays(pass(p), 0))).isTrue();
  }

  private static When.Pass pass(int number) {
    return new When.Pass(number, false, false, false);
  }

  @Test
  void aRollSwellsFadesOrStaysLevel() {
    Roll roll = Roll.of(3);
    Hit hit = Hit.of(0, 100);
    assertThat(hit.withRoll(roll.withRamp(-40)).velocity(0)).isEqualTo(100);
    assertThat(hit.withRoll(roll.withRamp(-40)).velocity(2)).isEqualTo(60);
    assertThat(hit.withRoll(roll.withRamp(0)).velocity(1)).isEqualTo(100);
  }

  /** Arithmetic: four strokes over a beat of four steps stand a step apart and climb evenly. */
  @Test
  void aRollOverABeatClimbsToItsWholeRise() {
    Hit hit = Hit.of(0, 100).withPitch(-2).withRoll(new Roll(4, 4, 0, 6));
    assertThat(IntStream.range(0, 4).map(stroke -> hit.offset(stroke, 240)))
        .containsExactly(0, 240, 480, 720);
    assertThat(IntStream.range(0, 4).map(hit::pitch)).containsExactly(-2, 0, 2, 4);
  }

  @Test
  void typingALaneKeepsWhatTextCannotSay() {
    StepLane fine =
        StepLane.parse("x...x...")
            .with(new Hit(0, 88, 12, 1).withFlam(30))
            .with(new Hit(4, 90, -5, 1));
    StepLane typed = fine.refining(StepLane.parse("x.o.X..."));
    assertThat(typed.at(0)).isEqualTo(fine.at(0));
    assertThat(typed.at(4)).contains(Hit.of(4, Velocity.ACCENT));
  }

  /** Property: turning by the length is identity, and so is turning there and back. */
  @Test
  void shapesUndoEachOther() {
    Random random = new Random(5);
    for (int take = 0; take < 200; take++) {
      int length = 1 + random.nextInt(64);
      StepLane lane = LaneShapes.spread(random.nextInt(length + 1), length);
      int by = random.nextInt(40) - 20;
      assertThat(LaneShapes.turned(lane, length)).isEqualTo(lane);
      assertThat(LaneShapes.turned(LaneShapes.turned(lane, by), -by)).isEqualTo(lane);
      assertThat(LaneShapes.reversed(LaneShapes.reversed(lane))).isEqualTo(lane);
      assertThat(LaneShapes.halved(LaneShapes.doubled(lane))).isEqualTo(lane);
      assertThat(LaneShapes.doubled(lane).over(2 * length)).isEqualTo(lane.over(2 * length));
    }
  }

  @Test
  void tighteningBringsHitsToTheGridByAmount() {
    StepLane loose = new StepLane(8, List.of(new Hit(0, 90, 30, 1), new Hit(3, 90, -21, 1)));
    assertThat(nudges(LaneShapes.tightened(loose, 50))).containsExactly(15, -10);
    assertThat(nudges(LaneShapes.tightened(loose, 100))).containsExactly(0, 0);
    assertThat(LaneShapes.tightened(loose, 0)).isEqualTo(loose);
    assertThatThrownBy(() -> LaneShapes.tightened(loose, 101)).hasMessageContaining("was 101");
  }

  private static List<Integer> nudges(StepLane lane) {
    return lane.hits().stream().map(Hit::nudge).toList();
  }

  /**
   * Toussaint, "The Euclidean algorithm generates traditional musical rhythms", 2005 (from memory;
   * rotations count as equal).
   */
  @ParameterizedTest
  @CsvSource({
    "3, 8, x..x..x.",
    "5, 8, x.xx.xx.",
    "4, 9, x.x.x.x..",
    "5, 12, x..x.x..x.x.",
    "7, 16, x..x.x.x..x.x.x.",
    "2, 5, x.x.."
  })
  void hitsAreSpreadEvenly(int hits, int length, String rhythm) {
    String spread = LaneShapes.spread(hits, length).toString();
    assertThat(rhythm + rhythm).contains(spread);
  }

  /** Arithmetic: least common multiples. */
  @ParameterizedTest
  @CsvSource({"'16,5', 80", "'16,7,5', 560", "'16,12', 48", "'16,32', 32", "'16', 16"})
  void lanesMeetAgainAfterTheirLeastCommonMultiple(String lengths, long steps) {
    assertThat(LaneShapes.meeting(Arrays.stream(lengths.split(",")).map(Integer::valueOf).toList()))
        .isEqualTo(steps);
  }
}
