package westtide.rhythm;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class StepLaneTest {
  @ParameterizedTest
  @ValueSource(strings = {"x.o.X3..", "....", "x8", "X.oxo", "x.x.x.x3.x.x.x.x4."})
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
  @ValueSource(strings = {"", " | ", "x.y", "3x", ".3", "x9", "x33"})
  void otherTextIsRefused(String text) {
    assertThatThrownBy(() -> StepLane.parse(text)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aRollSharesItsStepAndRises() {
    Hit roll = Hit.of(0, 100).withStrokes(3);
    assertThat(new int[] {roll.offset(0), roll.offset(1), roll.offset(2)})
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

  @Test
  void aPatternStartsItsLanesAfresh() {
    assertThat(steps(StepLane.parse("x....").over(32, 16)))
        .containsExactly(0, 5, 10, 15, 16, 21, 26, 31);
  }

  private static List<Integer> steps(List<Hit> hits) {
    return hits.stream().map(Hit::step).toList();
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 128, -3})
  void velocitiesOutsideMidiAreRefused(int velocity) {
    assertThatThrownBy(() -> Hit.of(0, velocity)).hasMessageContaining("1 to 127");
  }
}
