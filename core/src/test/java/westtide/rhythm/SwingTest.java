package westtide.rhythm;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SwingTest {
  /** Arithmetic: the second sixteenth of a pair of 480 ticks. */
  @ParameterizedTest
  @CsvSource({"50, 240", "60, 288", "66.67, 320", "54, 259", "75, 360"})
  void theSecondSixteenthStandsAtItsShareOfThePair(String percent, long tick) {
    assertThat(Swing.parse(percent).at(240)).isEqualTo(tick);
    assertThat(Swing.parse(percent).at(3840 + 240)).isEqualTo(3840 + tick);
  }

  @Test
  void orderAndEvenStepsAreKept() {
    for (int percent = 50; percent <= 75; percent++) {
      Swing swing = Swing.of(percent);
      for (long tick = 1; tick <= 3840; tick++) {
        assertThat(swing.at(tick)).isGreaterThanOrEqualTo(swing.at(tick - 1));
        if (tick % 480 == 0) {
          assertThat(swing.at(tick)).isEqualTo(tick);
        }
      }
    }
  }

  @Test
  void straightMovesNothing() {
    for (long tick = -480; tick <= 960; tick++) {
      assertThat(Swing.STRAIGHT.at(tick)).isEqualTo(tick);
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"49.99", "75.01", "swing", "-60"})
  void otherSharesAreRefused(String text) {
    assertThatThrownBy(() -> Swing.parse(text)).hasMessageContaining("50 to 75");
  }

  /** Arithmetic: the second eighth of a pair stands at 960 x share, so at 576 for 60 %. */
  @ParameterizedTest
  @CsvSource({"50, 480", "60, 576", "66.67, 640", "75, 720"})
  void eighthsSwingInPairsOfAQuarter(String percent, long at) {
    Swing swing = Swing.parse(percent).on(Swing.Grid.EIGHTHS);
    assertThat(swing.at(480)).isEqualTo(at);
    assertThat(swing.at(960)).isEqualTo(960);
    assertThat(swing.delay()).isEqualTo(at - 480);
    assertThat(swing.reaches(480)).isTrue();
    assertThat(swing.reaches(960)).isFalse();
  }

  /** Arithmetic: what lies before the second of a pair is spread as far as that goes. */
  @ParameterizedTest
  @CsvSource({"50, 120, 120", "60, 120, 144", "75, 120, 180", "60, 360, 384", "66.67, 60, 80"})
  void thirtySecondsBetweenTheSixteenthsGoAlong(String percent, long written, long sounding) {
    Swing swing = Swing.parse(percent);
    assertThat(swing.at(written)).isEqualTo(sounding);
    assertThat(swing.at(4800 + written)).isEqualTo(4800 + sounding);
    assertThat(swing.written(sounding)).isEqualTo(written);
  }
}
