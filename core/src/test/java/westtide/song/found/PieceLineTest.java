package westtide.song.found;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.rhythm.Meter;
import westtide.rhythm.Tempo;
import westtide.song.line.Note;
import westtide.text.Reading;

class PieceLineTest {
  private static final Meter FOUR = Meter.parse("4/4");

  /** Eight pieces over two bars at 120 BPM. */
  private static FoundSound sound() {
    Recording recording = Recording.of("loop", 8000, 16, new float[4 * 8000 + 4000]);
    List<Integer> marks =
        java.util.stream.IntStream.range(0, 8).mapToObj(i -> 2000 + i * 4000).toList();
    return new FoundSound(
        recording,
        Origin.UNKNOWN,
        2000,
        Tempo.of(120),
        2,
        Optional.empty(),
        0,
        marks,
        List.of(),
        Fit.USUAL,
        false);
  }

  private static PieceLine.Read read(String text) {
    return PieceLine.read(text, sound(), FOUR).orElseThrow();
  }

  private static String notes(String text) {
    PieceLine.Read read = read(text);
    return read.pattern().notes().stream()
        .map(note -> said(read.sound(), note))
        .collect(Collectors.joining(" "));
  }

  private static String said(FoundSound sound, Note note) {
    return PieceLine.word(sound.take(note.key()).orElseThrow())
        + "@"
        + note.start()
        + "+"
        + note.ticks();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "A; A@0+3840",
        "A B C D; A@0+960 B@960+960 C@1920+960 D@2880+960",
        "A - B .; A@0+1920 B@1920+960",
        "A A C:C ,B; A@0+960 A@960+960 C@1920+480 C@2400+480 ,B@2880+960",
        "A | * -; A@0+3840 *@3840+3840",
        "A | -; A@0+7680",
        "G+5 H-12; G+5@0+1920 H-12@1920+1920",
        "A B C; A@0+1280 B@1280+1280 C@2560+1280"
      })
  void lettersAreNotes(String line, String expected) {
    assertThat(notes(line)).isEqualTo(expected);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "A",
        "A B C D",
        "A A C C ,B - . D",
        "* | - | . | A B",
        "G+5 H-12",
        ",A -3 | .",
        "A B C",
        "A B C D E"
      })
  void aLineIsWrittenAsItWasRead(String typed) {
    String line = typed.replace(" -3", " B-3");
    PieceLine.Read read = read(line);
    String written = PieceLine.text(read.sound(), read.pattern(), FOUR).orElseThrow();
    PieceLine.Read again = PieceLine.read(written, read.sound(), FOUR).orElseThrow();
    assertThat(again.pattern()).isEqualTo(read.pattern());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "A Z; 3; there is no piece",
        "A ,; 3; a comma plays the piece behind it",
        "A+x; 1; is no move",
        "A B+40; 3; is no move"
      })
  void whatIsNotUnderstoodIsPointedAt(String line, int column, String words) {
    Reading<PieceLine.Read> read = PieceLine.read(line, sound(), FOUR);
    assertThat(read).isInstanceOf(Reading.Problem.class);
    Reading.Problem<?> problem = (Reading.Problem<?>) read;
    assertThat(problem.column()).isEqualTo(column);
    assertThat(problem.message()).contains(words);
  }

  /** C2 is 36 where C4 is 60; pieces go up from there in order. */
  @Test
  void piecesStandFromTheSecondCUpwards() {
    PieceLine.Read read = read("A B H *");
    assertThat(read.pattern().notes()).extracting(Note::key).containsExactly(36, 37, 43, 35);
  }

  @Test
  void eachWayToPlayAPieceHasOneKey() {
    PieceLine.Read read = read(",A ,A A+2 ,A | ,B A+2");
    assertThat(read.sound().takes()).hasSize(3);
    assertThat(read.pattern().notes())
        .extracting(Note::key)
        .containsExactly(127, 127, 126, 127, 125, 126);
  }

  /** 80 to 96 BPM is 12·log2(1.2) = 3.156 semitones: arithmetic. */
  @Test
  void repitchedItRisesWithTheTempo() {
    FoundSound sound = sound().withTempo(Tempo.of(80), 1);
    assertThat(sound.semitones(Tempo.of(96)))
        .isCloseTo(3.156, org.assertj.core.data.Offset.offset(0.001));
    FoundSound stretched = sound.withFit(Fit.USUAL.withWay(Fit.Way.STRETCH));
    assertThat(stretched.semitones(Tempo.of(96))).isZero();
    assertThat(stretched.times(Tempo.of(96)))
        .isCloseTo(80 / 96.0, org.assertj.core.data.Offset.offset(1e-9));
    assertThat(sound.withFit(Fit.USUAL.withFeel(Fit.Feel.DOUBLE)).semitones(Tempo.of(160)))
        .isCloseTo(0, org.assertj.core.data.Offset.offset(1e-9));
  }
}
