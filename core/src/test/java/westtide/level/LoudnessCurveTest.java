package westtide.level;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

/** Power over the course of a song, and what of it counts as loudness. */
class LoudnessCurveTest {
  private static final double SECONDS = 60;

  private static double energy(LoudnessCurve course) {
    return Arrays.stream(course.momentary()).sum() / 10;
  }

  /** Nothing is lost between tenths of a second, wherever a note begins and ends. */
  @RepeatedTest(20)
  void aNoteBringsItsPowerTimesItsLength(RepetitionInfo turn) {
    Random random = new Random(turn.getCurrentRepetition());
    LoudnessCurve course = new LoudnessCurve(SECONDS);
    double expected = 0;
    for (int note = 0; note < 50; note++) {
      double from = random.nextDouble() * (SECONDS - 5);
      double length = random.nextDouble() * 4;
      double power = random.nextDouble();
      course.add(from, from + length, power);
      course.add(from, power);
      expected += power * length + power;
    }
    assertThat(energy(course)).isCloseTo(expected, within(1e-6 * expected));
  }

  /** The relative gate of ITU-R BS.1770: what lies far under the rest does not count. */
  @Test
  void aSoftHalfDoesNotMakeASongSofter() {
    LoudnessCurve course = new LoudnessCurve(SECONDS);
    course.add(0, SECONDS / 2, 0.5);
    course.add(SECONDS / 2, SECONDS, 0.5e-3);
    assertThat(course.integrated()).isCloseTo(0.5, within(0.01));
    assertThat(new LoudnessCurve(SECONDS).integrated()).isZero();
  }

  @Test
  void coursesAddUpByAFactor() {
    LoudnessCurve one = new LoudnessCurve(SECONDS);
    one.add(1, 2, 0.25);
    LoudnessCurve other = new LoudnessCurve(SECONDS);
    other.add(1, 3, 0.5);
    assertThat(energy(one.plus(other, 2))).isCloseTo(0.25 + 2, within(1e-9));
    assertThat(energy(one)).isCloseTo(0.25, within(1e-9));
  }
}
