package westtide.song;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.rhythm.Meter;
import westtide.theory.Key;

class ChordLineTest {
  private static final ChordLine LINES = ChordLine.in(Key.parse("F# minor"), Meter.COMMON);

  /** Ticks follow from the rule that the words of a bar share its 3840 ticks. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "i9 | VImaj7 | III VII | iv7; F♯m9:3840 Dmaj7:3840 A:1920 E:1920 Bm7:3840",
        "F#m9 . . A/C#; F♯m9:2880 A/C♯:960",
        "a . . b; ",
        "i | . VI; F♯m:5760 D:1920",
        "| i | VI |; F♯m:3840 D:3840",
        "i VI III VII v; F♯m:768 D:768 A:768 E:768 C♯m:768",
        "i VI III; F♯m:1280 D:1280 A:1280",
        "Bb7(#9); B♭7♯9:3840"
      })
  void wordsShareTheirBar(String typed, String chords) {
    Reading<List<ChordSpan>> reading = LINES.parse(typed);
    if (chords == null) {
      assertThat(reading).isInstanceOf(Reading.Problem.class);
      return;
    }
    String read =
        reading.orElseThrow().stream()
            .map(span -> span.chord() + ":" + span.ticks())
            .collect(Collectors.joining(" "));
    assertThat(read).isEqualTo(chords);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "i9 | H7; 6; H7",
        "i9 | VImajj | iv; 6; VImajj",
        ". i; 1; before this .",
        "i || VI; 4; empty",
        "Cx; 1; after the note C",
        "'   '; 1; type chords"
      })
  void aProblemPointsAtItsColumn(String typed, int column, String message) {
    Reading.Problem<List<ChordSpan>> problem =
        (Reading.Problem<List<ChordSpan>>) LINES.parse(typed);
    assertThat(problem.column()).isEqualTo(column);
    assertThat(problem.message()).contains(message);
    assertThatThrownBy(() -> LINES.parse(typed).orElseThrow())
        .hasMessageStartingWith("column " + column);
  }

  @ParameterizedTest
  @CsvSource({
    "i9 | VImaj7 | III VII | iv7",
    "i9 . . VI | . | III . VII .",
    "i VI III | i VI III VII v",
    "bIImaj7 | #vi7b5 | V7/3"
  })
  void linesReadBackInBothNotations(String typed) {
    List<ChordSpan> spans = LINES.parse(typed).orElseThrow();
    for (Notation notation : Notation.values()) {
      String written = LINES.format(new Progression("hook", notation, spans));
      assertThat(LINES.parse(written).orElseThrow()).as(written).isEqualTo(spans);
    }
  }

  @Test
  void aProgressionRepeatsAndIsCutAtTheEnd() {
    Progression row = Songs.progression(Songs.brief("C", 50), "C | F");
    assertThat(row.over(3 * 3840)).extracting(PlacedChord::start).containsExactly(0, 3840, 7680);
    assertThat(row.over(5000)).last().extracting(PlacedChord::ticks).isEqualTo(1160);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "intro 8, hook 16; intro 8, hook 16",
        " Pre-Hook 4 ,DROP 32; pre-hook 4, drop 32",
        "chorus 8; chorus 8"
      })
  void formsAreRead(String typed, String shown) {
    String read =
        FormLine.parse(typed).orElseThrow().stream()
            .map(item -> item.word() + " " + item.bars())
            .collect(Collectors.joining(", "));
    assertThat(read).isEqualTo(shown);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "intro 8, solo 8; 10; no section",
        "intro; 1; needs",
        "hook 0; 1; 1 to 128",
        "hook 129; 1; 1 to 128",
        "''; 1; type sections",
        "hook 128, hook 128, hook 128, hook 128, hook 128, hook 128, hook 128, hook 128; 71; 999"
      })
  void aWrongFormPointsToo(String typed, int column, String message) {
    Reading.Problem<List<FormLine.Item>> problem =
        (Reading.Problem<List<FormLine.Item>>) FormLine.parse(typed);
    assertThat(problem.column()).isEqualTo(column);
    assertThat(problem.message()).contains(message);
  }
}
