package westtide.song.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.rhythm.Meter;
import westtide.song.pattern.AttachedText;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.WrittenText;
import westtide.text.Reading;
import westtide.theory.Key;

class LineTextTest {
  private static final Meter FOUR = Meter.COMMON;
  private static final Key MINOR = Key.parse("A minor");
  private static final Pattern.Written EMPTY = new Pattern.Written(1, List.of());

  private static WrittenText degrees() {
    return new WrittenText(new DegreeText(MINOR, 57), FOUR);
  }

  private static Pattern.Written read(String text) {
    return degrees().changed(EMPTY, text).orElseThrow();
  }

  /** Start and length in steps of a sixteenth, MIDI note. */
  private static String shape(Pattern.Written line) {
    return line.notes().stream()
        .map(n -> n.start() / 240.0 + "+" + n.ticks() / 240.0 + ":" + n.key())
        .collect(Collectors.joining(" "))
        .replace(".0", "");
  }

  /** A is 57, so that 5 is E 64 and b6 is F 65: natural minor counted from its major scale. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "5 - . b6 5 - - -; 0+2:64 3+1:65 4+4:64",
        "1' ,5 1''; 0+1:69 1+1:52 2+1:81",
        "/8 1 - 3; 0+4:57 4+2:61",
        "1:3 . 2; 0+3:57 4+1:59",
        "5 - . b6 5 - - - | b7 . . 5' - . 1 ,5;"
            + " 0+2:64 3+1:65 4+4:64 16+1:67 19+2:76 22+1:57 23+1:52",
        "1 - - -:2; ",
        "(1 . b3 .)x2; 0+1:57 2+1:60 4+1:57 6+1:60",
        "1 - - - - - - - - - - - - - - - | %; 0+16:57 16+16:57",
        "F#4 A3; 0+1:66 1+1:57",
        "♭3 #4; 0+1:60 1+1:63",
        "5---.1; 0+4:64 5+1:57",
        "/8t 1 2 3; 0+1.3333333333333333:57 1.3333333333333333+1.3333333333333333:59"
            + " 2.6666666666666665+1.3333333333333333:61"
      })
  void signsAreNotes(String text, String shape) {
    if (shape == null) {
      assertThat(degrees().changed(EMPTY, text)).isInstanceOf(Reading.Problem.class);
    } else {
      assertThat(shape(read(text))).isEqualTo(shape);
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "1 - x; 5; \"x\" is no sign",
        "- 1; 1; no note before -",
        "1 . -; 5; no note before -",
        "1:17 |; 6; a bar has 16 steps, but 17 stand before this |",
        "1 | 5:18 |; 10; a bar has 16 steps, but 18 stand before this |",
        "1 15; 3; \"15\" is no pitch here",
        "(1 2; 1; this group is not closed",
        "(1 2)x; 5; a group is repeated 1 to 16 times",
        "% 1; 1; % stands for the bar before",
        "1:0; 1; a note lasts 1 step or more",
        "1''''''''; 1; a note is up to 4 octaves away",
        "; 1; a line has 1 to 16 bars"
      })
  void whatIsNotUnderstoodIsSaidWithItsColumn(String text, int column, String message) {
    Reading<Pattern.Written> reading = degrees().changed(EMPTY, text == null ? "" : text);
    assertThat(reading).isInstanceOf(Reading.Problem.class);
    Reading.Problem<Pattern.Written> problem = (Reading.Problem<Pattern.Written>) reading;
    assertThat(problem.message()).contains(message);
    assertThat(problem.column()).isEqualTo(column);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void anyLineInSixteenthsComesBackFromItsText(long seed) {
    Random random = new Random(seed);
    List<Note> notes = new ArrayList<>();
    for (int step = 0; step < 64; ) {
      int steps = 1 + random.nextInt(5);
      if (random.nextInt(3) > 0) {
        int velocity = List.of(66, 92, 112).get(random.nextInt(3));
        int held = 1 + random.nextInt(steps);
        int slide = random.nextInt(4) == 0 ? 240 : 0;
        notes.add(new Note(step * 240, held * 240, 40 + random.nextInt(40), velocity, slide));
      }
      step += steps;
    }
    notes.removeIf(note -> note.end() > 64 * 240);
    Pattern.Written line = new Pattern.Written(4, notes);
    WrittenText text = WrittenText.of(line, MINOR, FOUR);
    assertThat(text.changed(EMPTY, text.format(line)).orElseThrow()).isEqualTo(line);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void whatTextCannotSaySurvivesIt(long seed) {
    Random random = new Random(seed);
    List<Note> notes = new ArrayList<>();
    for (int i = 0; i < 24; i++) {
      notes.add(
          new Note(
              random.nextInt(15000),
              20 + random.nextInt(900),
              45 + random.nextInt(30),
              1 + random.nextInt(127),
              random.nextInt(2) * 77));
    }
    Pattern.Written line = new Pattern.Written(4, notes);
    WrittenText text = WrittenText.of(line, MINOR, FOUR);
    assertThat(text.changed(line, text.format(line)).orElseThrow())
        .as("the same text changes nothing")
        .isEqualTo(line);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "R - - . ~R8 - R -; R - - . ~R8 - R - . . . . . . . .",
        "^R:4 R5 ,5 b7 >bR; ^R - - - R5 ,5 b7 >bR . . . . . . . .",
        "(R . R5 .)x4; R . R5 . R . R5 . R . R5 . R . R5 ."
      })
  void aLowLineIsWrittenInDegreesOfTheChords(String typed, String formatted) {
    AttachedText text = new AttachedText(FOUR);
    Pattern.Attached line =
        text.changed(new Pattern.Attached(1, 28, List.of()), typed).orElseThrow();
    assertThat(text.format(line)).isEqualTo(formatted);
    assertThat(text.changed(line, formatted).orElseThrow()).isEqualTo(line);
  }

  /** One that fits evenly repeats by itself. */
  @Test
  void aTextThatFitsEvenlyStaysShort() {
    AttachedText text = new AttachedText(FOUR);
    assertThat(text.changed(new Pattern.Attached(16, 28, List.of()), "R | R5").orElseThrow().bars())
        .isEqualTo(2);
    assertThat(text.changed(new Pattern.Attached(8, 28, List.of()), "R | R5 | R").orElseThrow())
        .satisfies(line -> assertThat(line.bars()).isEqualTo(8))
        .satisfies(line -> assertThat(line.notes()).hasSize(8));
  }

  /**
   * A text that does not fit into its pattern evenly fills it by being repeated, cut off at the
   * end.
   */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "3; 8; 1 . . . . . . . . . . . . . . . | 2 | 3:16",
        "5; 16; 5:80",
        "2; 3; 1 | 5:32",
        "4; 4; 1 | 2 | 3 | 4"
      })
  void aShortTextIsRepeatedThroughThePattern(int bars, int wanted, String typed) {
    WrittenText text = WrittenText.of(new Pattern.Written(1, List.of()), MINOR, FOUR);
    Pattern.Written once = text.changed(new Pattern.Written(1, List.of()), typed).orElseThrow();
    assertThat(once.bars()).isGreaterThanOrEqualTo(bars);
    Pattern.Written filled =
        text.changed(new Pattern.Written(wanted, List.of()), typed).orElseThrow();
    int turn = once.bars() * FOUR.ticksPerBar();
    int end = wanted * FOUR.ticksPerBar();
    assertThat(filled.bars()).isEqualTo(wanted);
    List<Note> expected = new ArrayList<>();
    for (int from = 0; from < end; from += turn) {
      for (Note note : once.notes()) {
        int start = from + note.start();
        if (start < end) {
          expected.add(
              new Note(start, Math.min(note.ticks(), end - start), note.key(), note.velocity()));
        }
      }
    }
    assertThat(filled.notes()).isEqualTo(expected);
  }
}
