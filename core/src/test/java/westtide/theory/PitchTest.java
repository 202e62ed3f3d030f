package westtide.theory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PitchTest {
  /** Equal temperament at ISO 16 pitch; MIDI 1.0 note numbers. */
  @ParameterizedTest
  @CsvSource({"69, A4, 440", "60, C4, 261.6256", "28, E1, 41.2034", "21, A0, 27.5"})
  void noteNumberNameAndFrequencyBelongTogether(int midi, String name, double hertz) {
    assertThat(Pitch.of(midi)).hasToString(name);
    assertThat(Pitch.parse(name).midi()).isEqualTo(midi);
    assertThat(Pitch.hertz(midi)).isCloseTo(hertz, within(0.0001));
  }

  /** Handbook: a semitone is the twelfth root of two, 1.0594631. */
  @Test
  void aSemitoneIsTheTwelfthRootOfTwo() {
    assertThat(Pitch.hertz(70) / Pitch.hertz(69)).isCloseTo(1.0594631, within(1e-7));
  }

  @Test
  void theSpellingIsKept() {
    assertThat(Pitch.of(61, NoteName.parse("Db"))).hasToString("D♭4");
    assertThat(Pitch.of(60, NoteName.parse("B#"))).hasToString("B♯3");
    assertThat(Pitch.of(59, NoteName.parse("Cb"))).hasToString("C♭4");
    assertThatThrownBy(() -> Pitch.of(60, NoteName.parse("D"))).hasMessageContaining("60");
  }

  @ParameterizedTest
  @CsvSource({"-1", "128"})
  void numbersOutsideMidiAreRefused(int midi) {
    assertThatThrownBy(() -> Pitch.of(midi))
        .hasMessageContaining("0 to 127")
        .hasMessageContaining("" + midi);
  }

  @Test
  void everyNumberReadsBack() {
    for (int midi = 0; midi <= 127; midi++) {
      assertThat(Pitch.parse(Pitch.of(midi).toString()).midi()).isEqualTo(midi);
    }
  }

  @ParameterizedTest
  @CsvSource({
    "C, 3, E",
    "A, 3, C#",
    "Eb, b7, Db",
    "F#, b9, G",
    "B, #11, E#",
    "Gb, b3, Bbb",
    "F, 8, F"
  })
  void intervalsSpellByTheirSteps(String from, String degree, String to) {
    assertThat(NoteName.parse(from).plus(Interval.ofDegree(degree))).isEqualTo(NoteName.parse(to));
    assertThat(NoteName.parse(from).to(NoteName.parse(to)))
        .isEqualTo(
            degree.equals("8") ? Interval.ofDegree("1") : Interval.ofDegree(degree).simple());
  }
}
