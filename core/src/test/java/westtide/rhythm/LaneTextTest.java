package westtide.rhythm;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.text.Reading;

/** Bars of a typed lane, and lanes that differ from one seed each in its own way. */
class LaneTextTest {
  @Test
  void aBarLineClosesABar() {
    assertThat(LaneText.read("x...x...x...x...|x...............", 16))
        .isInstanceOf(Reading.Understood.class);
    assertThat(LaneText.read("| x.x. | o... |", 4)).isInstanceOf(Reading.Understood.class);
  }

  @ParameterizedTest
  @CsvSource({"x...|x, 16, 5, 4 of them", "x... x.. | x, 8, 10, 7 of them"})
  void aBarLineElsewhereIsPointedAt(String text, int bar, int column, String notices) {
    Reading<StepLane> reading = LaneText.read(text, bar);
    assertThat(reading).isInstanceOf(Reading.Problem.class);
    Reading.Problem<StepLane> problem = (Reading.Problem<StepLane>) reading;
    assertThat(problem.column()).isEqualTo(column);
    assertThat(problem.message()).contains("a bar has " + bar + " steps", notices);
  }

  /** One step too few behind a bar line is a slip; a lane of any length is typed without one. */
  @Test
  void aLastBarThatIsCutShortIsPointedAt() {
    String short15 = "x...x...x...x...|x...x...x...x..";
    Reading<StepLane> reading = LaneText.read(short15, 16);
    assertThat(reading).isInstanceOf(Reading.Problem.class);
    Reading.Problem<StepLane> problem = (Reading.Problem<StepLane>) reading;
    assertThat(problem.column()).isEqualTo(short15.length());
    assertThat(problem.message()).contains("15 of 16 steps", "without |", "after 31");
    StepLane cycle = LaneText.read(short15.replace("|", ""), 16).orElseThrow();
    assertThat(cycle.length()).isEqualTo(31);
    assertThat(LaneText.read(LaneText.format(cycle, 16), 16).orElseThrow()).isEqualTo(cycle);
  }

  @Test
  void lanesOfOneSeedDifferEachInItsOwnWay() {
    LaneFeel feel = new LaneFeel(0, 20, 20, 5);
    boolean velocities = false;
    boolean places = false;
    for (int step = 0; step < 16; step++) {
      velocities |= feel.played(90, step, 1) != feel.played(90, step, 2);
      places |= feel.late(step, 1) != feel.late(step, 2);
      assertThat(feel.played(90, step, 1)).isEqualTo(feel.played(90, step, 1)).isBetween(70, 110);
    }
    assertThat(velocities).isTrue();
    assertThat(places).isTrue();
  }
}
