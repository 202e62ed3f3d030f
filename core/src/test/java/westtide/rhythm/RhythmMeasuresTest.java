package westtide.rhythm;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Syncopation, metric weight, and putting what was played on a grid. */
class RhythmMeasuresTest {
  private static int syncopation(String rhythm) {
    StepLane lane = StepLane.parse(rhythm);
    return Syncopation.of(
        lane.hits().stream().map(Hit::step).collect(Collectors.toSet()), lane.length(), 16);
  }

  /** The tree of 4/4: Longuet-Higgins and Lee, Music Perception 1984 (from memory). */
  @ParameterizedTest
  @CsvSource({"0, 0", "8, -1", "4, -2", "12, -2", "2, -3", "6, -3", "14, -3", "1, -4", "15, -4"})
  void placesOfTheBarWeighByTheirHalvings(int step, int weight) {
    assertThat(MetricWeight.of(step, 16)).isEqualTo(weight);
    assertThat(MetricWeight.of(step + 32, 16)).isEqualTo(weight);
  }

  /**
   * Worked by hand by the rule of Longuet-Higgins and Lee, Music Perception 1984 (the rule from
   * memory), on the timelines Toussaint names shiko, son, soukous, rumba, bossa-nova and gahu. Son,
   * for one: step 4 weighs −4 before a rest of −2, that is 2; step 7 weighs −3 before a rest of −1,
   * that is 2; the others stand before no stronger rest; 4 in all.
   */
  @ParameterizedTest
  @CsvSource({
    "x...x...x...x..., 0",
    "x...x.x...x.x..., 2",
    "x..x..x...x.x..., 4",
    "x..x..x...xx...., 6",
    "x..x...x..x.x..., 5",
    "x..x..x...x..x.., 6",
    "x..x..x...x...x., 5"
  })
  void timelinesAreAsSyncopatedAsTabled(String rhythm, int expected) {
    assertThat(syncopation(rhythm)).isEqualTo(expected);
  }

  @Test
  void strikesOnlyOnTheBeatsAreNotSyncopated() {
    assertThat(syncopation("x...x...x...x...x...x...x...x...")).isZero();
    assertThat(Syncopation.of(Set.of(), 16, 16)).isZero();
  }

  /** Worked by hand: the strike of the second bar leans on the first beat of the next round. */
  @Test
  void aRhythmOfTwoBarsGoesRoundAtItsEnd() {
    assertThat(Syncopation.pulls(Set.of(4, 18), 32, 16))
        .containsExactly(new Syncopation.Pull(4, 16, 2), new Syncopation.Pull(18, 32, 3));
  }

  /** At 100 % whatever was played lands on the grid as it sounds with swing. */
  @ParameterizedTest
  @ValueSource(ints = {50, 54, 58, 62, 67, 75})
  void fullStrengthLandsOnTheSwungGrid(int percent) {
    Swing swing = Swing.of(percent);
    Random random = new Random(percent);
    for (StepGrid grid : StepGrid.values()) {
      Quantise quantise = new Quantise(grid, swing, 100);
      for (int i = 0; i < 500; i++) {
        long played = random.nextInt(16 * 960);
        Quantise.Placed placed = quantise.place(played);
        assertThat(placed.nudge()).isZero();
        long lands = swing.at(placed.step() * grid.ticks());
        long before = swing.at((placed.step() - 1) * grid.ticks());
        long after = swing.at((placed.step() + 1) * grid.ticks());
        assertThat(played).isBetween(before, after);
        assertThat(quantise.place(lands).step()).isEqualTo(placed.step());
      }
    }
  }

  /** At 0 % a hit sounds where it was played, within the rounding of a tick. */
  @ParameterizedTest
  @ValueSource(ints = {50, 58, 66})
  void noStrengthKeepsThePlaying(int percent) {
    Swing swing = Swing.of(percent);
    Quantise quantise = new Quantise(StepGrid.SIXTEENTHS, swing, 0);
    for (long played = 0; played < 4000; played += 7) {
      Quantise.Placed placed = quantise.place(played);
      assertThat(Math.abs(swing.at(placed.step() * 240 + placed.nudge()) - played)).isLessThan(3);
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {50, 57, 60, 70, 75})
  void whatSwingMovesIsFoundAgain(int percent) {
    for (Swing.Grid grid : Swing.Grid.values()) {
      Swing swing = Swing.of(percent).on(grid);
      for (long tick = 0; tick < 2000; tick++) {
        assertThat(Math.abs(swing.written(swing.at(tick)) - tick)).isLessThan(2);
      }
    }
  }

  @Test
  void strengthIsAPercentage() {
    assertThatThrownBy(() -> new Quantise(StepGrid.SIXTEENTHS, Swing.STRAIGHT, 101))
        .hasMessageContaining("0 to 100 %, but was 101");
  }
}
