package westtide.review;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.style.Style;
import westtide.theory.Pitch;

class LowEndRangeTest {
  /**
   * Common practice: useful from E1 (41 Hz) to E2 (82 Hz); equal temperament for the frequencies.
   */
  @ParameterizedTest
  @CsvSource({"27, false", "28, true", "40, true", "41, false"})
  void usefulIsFromE1ToE2(int midi, boolean useful) {
    assertThat(LowEndRange.useful(midi)).isEqualTo(useful);
    assertThat(Pitch.hertz(midi) > 41 && Pitch.hertz(midi) < 83).isEqualTo(useful);
  }

  /** Common practice: melodic parts give up everything below 100 to 150 Hz under an 808. */
  @Test
  void whatIsLeftFreeEndsJustBelow150Hz() {
    for (int midi = 0; midi <= 127; midi++) {
      assertThat(LowEndRange.leftFree(midi)).isEqualTo(Pitch.hertz(midi) < 150);
    }
  }

  @Test
  void chordPartsAndLeadsOfEveryStyleStandAboveIt() {
    for (Style style : Songs.book().styles()) {
      assertThat(LowEndRange.leftFree(style.keysPart().range().bassLow())).isFalse();
      assertThat(LowEndRange.leftFree(style.lead().low())).isFalse();
      assertThat(LowEndRange.useful(style.sub().lowest())).isTrue();
      assertThat(LowEndRange.useful(style.sub().lowest() + 11)).isTrue();
    }
  }
}
