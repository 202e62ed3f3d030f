package westtide.theory;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Chords, scales and numerals against the tables that core/src/test/reference/theory-tables.js
 * wrote with the general-purpose theory library named in their heads.
 */
class ReferenceTableTest {
  private record Row(String root, String name, List<NoteName> notes) {}

  @Test
  void everyChordOnEveryRootIsSpelledAsTheReferenceSpellsIt() {
    List<Row> rows = table("chords.csv");
    assertThat(rows.stream().map(Row::name).distinct()).hasSizeGreaterThanOrEqualTo(100);
    assertThat(rows.stream().map(row -> NoteName.parse(row.root).pitchClass()).distinct())
        .hasSize(12);
    for (Row row : rows) {
      Chord chord = Chord.parse(row.root + row.name);
      assertThat(chord.notes())
          .as(row.root + row.name)
          .containsExactlyInAnyOrderElementsOf(row.notes);
    }
  }

  @Test
  void theWrittenSymbolReadsBackAsTheSameChord() {
    for (Row row : table("chords.csv")) {
      Chord chord = Chord.parse(row.root + row.name);
      assertThat(Chord.parse(chord.toString())).as(row.root + row.name).isEqualTo(chord);
    }
  }

  @Test
  void everyChordSurvivesBeingCountedInEveryKey() {
    List<Key> keys =
        Stream.of("F# minor", "A dorian", "Eb major", "D harmonic minor", "E phrygian", "C blues")
            .map(Key::parse)
            .toList();
    for (Row row : table("chords.csv")) {
      Chord chord = Chord.parse(row.root + row.name);
      for (Key key : keys) {
        RomanNumeral numeral = RomanNumeral.of(chord, key);
        assertThat(RomanNumeral.parse(numeral.toString()).in(key))
            .as("%s in %s is %s", chord, key, numeral)
            .contains(chord);
      }
    }
  }

  @Test
  void everyScaleOnEveryTonicIsSpelledAsTheReferenceSpellsIt() {
    List<Row> rows = table("scales.csv");
    assertThat(rows).hasSize(Scale.values().length * 15);
    for (Row row : rows) {
      assertThat(Key.parse(row.root + " " + row.name).notes())
          .as(row.root + " " + row.name)
          .isEqualTo(row.notes);
    }
  }

  @Test
  void numeralsInMajorKeysStandOnTheRootsOfTheReference() {
    for (Row row : table("numerals.csv")) {
      Chord chord = RomanNumeral.parse(row.name).in(Key.parse(row.root)).orElseThrow();
      assertThat(chord.root()).as(row.name + " in " + row.root).isEqualTo(row.notes.get(0));
    }
  }

  private static List<Row> table(String name) {
    try (var in = ReferenceTableTest.class.getResourceAsStream("/reference/" + name)) {
      String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      return text.lines()
          .filter(line -> !line.startsWith("#"))
          .map(ReferenceTableTest::row)
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Row row(String line) {
    String[] cells = line.split(";");
    return new Row(
        cells[0], cells[1], Arrays.stream(cells[2].split(" ")).map(NoteName::parse).toList());
  }
}
