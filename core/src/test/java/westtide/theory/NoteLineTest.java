package westtide.theory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NoteLineTest {
  private static String read(String text) {
    return NoteLine.parse(text).stream()
        .map(note -> note.pitchClass() + (note.length() == 1 ? "" : ":" + note.length()))
        .collect(Collectors.joining(" "));
  }

  @ParameterizedTest
  @CsvSource({
    "A C E,9 0 4",
    "F#2 Bb-1 c4,6 10 0",
    "57 60 64,9 0 4",
    "C:2 D:.5 | E,0:2.0 2:0.5 4",
    "'C, E; G',0 4 7"
  })
  void notesAreNamesPitchesOrNumbers(String text, String expected) {
    assertThat(read(text)).isEqualTo(expected);
  }

  @Test
  void aWordThatCanOnlyBeAChordMakesLettersChords() {
    assertThat(read("Am G")).isEqualTo("4 0 9 2 11 7");
    assertThat(read("A G")).isEqualTo("9 7");
  }

  @Test
  void chordsAreEnoughToFindAKey() {
    assertThat(KeyFinder.rank(NoteLine.parse("F#m D A E F#m")).get(0).key())
        .hasToString("F♯ minor");
    assertThat(KeyFinder.rank(NoteLine.parse("Dm7 G7 Cmaj7 Cmaj7")).get(0).key())
        .hasToString("C major");
  }

  @ParameterizedTest
  @ValueSource(strings = {"H", "A C wrong", "128", "C:x", "", "C::2"})
  void whatIsNeitherIsNamed(String text) {
    assertThatThrownBy(() -> NoteLine.parse(text))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("type notes such as F#");
  }
}
