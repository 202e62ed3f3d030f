package westtide.theory.voicing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.theory.Chord;
import westtide.theory.Pitch;

class StackDescriptionTest {
  /** Common practice: how a stack is said by those who do not name chords. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "Am; A2 A3 C4 E4; the root at the bottom, doubled an octave up, a minor triad on A above",
        "Am9; A2 A3 C4 E4 G4 B4; the root at the bottom, doubled an octave up, a major triad on C above, the ninth on top",
        "A5; A2 E3; the root at the bottom, the fifth on top",
        "C/E; E3 G3 C4 E4; the third at the bottom, a major triad on C turned over above"
      })
  void aStackIsReadFromTheBottom(String chord, String notes, String words) {
    Voicing voicing =
        new Voicing(Arrays.stream(notes.split(" ")).map(n -> Pitch.parse(n).midi()).toList());
    assertThat(StackDescription.of(voicing, Chord.parse(chord))).isEqualTo(words);
  }
}
