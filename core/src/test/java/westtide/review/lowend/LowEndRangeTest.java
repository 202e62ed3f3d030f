package westtide.review.lowend;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.style.Style;
import westtide.theory.Pitch;

class LowEndRangeTest {
  /**
   * Common practice: a sub from E1 (41 Hz) to A2 (110 Hz); equal temperament for the frequencies.
   */
  @ParameterizedTest
  @CsvSource({"27, false", "28, true", "45, true", "46, false"})
  void aSubIsFromE1ToA2(int midi, boolean useful) {
    assertThat(LowEndRange.sub(midi)).isEqualTo(useful);
    assertThat(Pitch.hertz(midi) > 41 && Pitch.hertz(midi) < 111).isEqualTo(useful);
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
      assertThat(LowEndRange.sub(style.sub().lowest())).isTrue();
      assertThat(LowEndRange.sub(style.sub().lowest() + 11)).isTrue();
    }
  }
}
