package westtide.song.chord;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.Songs;
import westtide.rhythm.Meter;
import westtide.text.Reading;
import westtide.theory.Chord;
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
      String written = LINES.format(Progression.of("hook", notation, spans));
      assertThat(LINES.parse(written).orElseThrow()).as(written).isEqualTo(spans);
    }
  }

  @Test
  void aProgressionRepeatsAndIsCutAtTheEnd() {
    Progression row = Songs.progression(Songs.brief("C", 50), "C | F");
    assertThat(row.over(3 * 3840)).extracting(PlacedChord::start).containsExactly(0, 3840, 7680);
    assertThat(row.over(5000)).last().extracting(PlacedChord::ticks).isEqualTo(1160);
  }

  /** Each sign as it is explained: lengths in sixteenths, pushes, inversions, rests, repeats. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "i9:6 VI:10; F♯m9:1440 D:2400",
        "i9:6 VI VII; F♯m9:1440 D:1200 E:1200",
        "i | <VI | <<VII; F♯m:3840 D:3840<240 E:3840<480",
        "i@1 VI/3@0; F♯m:1920@1 D/F♯:1920@0",
        "i:12 -:4; F♯m:2880 rest:960",
        "i | % | VI; F♯m:3840 F♯m:3840 D:3840",
        "(i | VI)x2 | v; F♯m:3840 D:3840 F♯m:3840 D:3840 C♯m:3840",
        "( i VI | C7(b9) )x2; F♯m:1920 D:1920 C7♭9:3840 F♯m:1920 D:1920 C7♭9:3840",
        "i:12 VI:4 | .:8 v:8; F♯m:2880 D:2880 C♯m:1920",
        "F#m9 | VImaj7; F♯m9:3840 Dmaj7:3840"
      })
  void signsSayHowAChordIsPlayed(String typed, String chords) {
    assertThat(words(LINES.parse(typed).orElseThrow())).isEqualTo(chords);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "i:10 VI:10; 1; 20 of its 16",
        "i:16 VI; 1; nothing is left",
        "i:6 VI:6; 1; 12 sixteenths; it has 16",
        "- i; 1; begins with a chord",
        "% | i; 1; no bar before this %",
        "i % | VI; 3; stands alone",
        "i | (VI | v; 5; never closed",
        "i | VI)x2; 7; closes nothing",
        "(i | VI) | v; 8; how often",
        "em | C; 1; type Em"
      })
  void aWrongSignPointsToo(String typed, int column, String message) {
    Reading.Problem<List<ChordSpan>> problem =
        (Reading.Problem<List<ChordSpan>>) LINES.parse(typed);
    assertThat(problem.column()).isEqualTo(column);
    assertThat(problem.message()).contains(message.split(";")[0]);
  }

  /** Any row of chords is written as a line that reads back to it. */
  @Test
  void everyRowReadsBack() {
    Random random = new Random(11);
    List<String> words = List.of("i9", "VImaj7", "<iv7@2", "<<VII", "bII/3", "-", "v7@0");
    for (int take = 0; take < 300; take++) {
      List<ChordSpan> spans = new ArrayList<>(LINES.parse("i").orElseThrow());
      int bars = 1 + random.nextInt(4);
      spans.set(0, spans.get(0).withTicks(240 * (1 + random.nextInt(16))));
      int left = bars * 3840 * 2 - spans.get(0).ticks();
      while (left > 0) {
        ChordSpan next = LINES.parse("i " + words.get(random.nextInt(7))).orElseThrow().get(1);
        int ticks = Math.min(left, (take % 3 == 0 ? 320 : 240) * (1 + random.nextInt(20)));
        ChordSpan last = spans.get(spans.size() - 1);
        Chord chord = next.articulation().rest() ? last.chord() : next.chord();
        spans.add(new ChordSpan(chord, ticks, next.articulation()));
        left -= ticks;
      }
      String written = LINES.format(Progression.of("hook", Notation.NUMERALS, spans));
      assertThat(LINES.parse(written).orElseThrow()).as(written).isEqualTo(spans);
    }
  }

  private static String words(List<ChordSpan> spans) {
    return spans.stream()
        .map(
            span ->
                (span.articulation().rest() ? "rest" : span.chord().toString())
                    + ":"
                    + span.ticks()
                    + (span.articulation().push() > 0 ? "<" + span.articulation().push() : "")
                    + span.articulation().inversion().map(turns -> "@" + turns).orElse(""))
        .collect(Collectors.joining(" "));
  }
}
