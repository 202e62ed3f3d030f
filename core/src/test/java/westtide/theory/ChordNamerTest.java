package westtide.theory;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ChordNamerTest {
  private static final Key KEY = Key.parse("A minor");

  private static List<Integer> keys(String notes) {
    return Arrays.stream(notes.split(" ")).map(note -> Pitch.parse(note).midi()).toList();
  }

  /** Names as any harmony book gives them; C E G A is named from its bass. */
  @ParameterizedTest
  @CsvSource({
    "A2 C4 E4, Am",
    "A2 C4 E4 G4, Am7",
    "C3 E4 A4, Am/C",
    "C3 E3 G3 A3, C6",
    "A2 C3 E3 G3 B3, Am9",
    "F3 A3 C4 E4, Fmaj7",
    "G2 B3 D4 F4, G7",
    "E3 G#3 B3 D4, E7",
    "B2 D3 F3 A3, Bm7♭5",
    "A2 E3, A5",
    "D3 G3 A3, Dsus4",
    "F3 E4 A4, Fmaj7",
    "F2 G3 B3 D4, G7"
  })
  void theBestNameComesFirst(String notes, String name) {
    String best = ChordNamer.in(KEY).names(keys(notes)).get(0).chord().toString();
    assertThat(best.split("/")[0]).isEqualTo(name.split("/")[0]);
  }

  /** Whatever is written out from a symbol is found again among its names. */
  @Test
  void everyChordFindsItsOwnName() {
    for (ChordQuality quality : QualityBook.common()) {
      for (int root = 0; root < 12; root++) {
        Chord chord = Chord.of(Pitch.of(60 + root).name(), quality);
        List<Integer> keys = new ArrayList<>();
        quality
            .tones()
            .forEach(tone -> keys.add(48 + chord.root().pitchClass() + tone.semitones()));
        assertThat(ChordNamer.in(KEY).names(keys))
            .as(chord.toString())
            .anyMatch(
                name ->
                    QualityBook.semitones(name.chord().quality())
                            .equals(QualityBook.semitones(quality))
                        && name.chord().root().pitchClass() == chord.root().pitchClass());
      }
    }
  }

  @Test
  void aSingleNoteHasNoName() {
    assertThat(ChordNamer.in(KEY).names(List.of(60, 72))).isEmpty();
  }

  /**
   * What the library calls a stack, tonal 6.4.0, is among our names with the same root and tones.
   */
  @Test
  void theNamesOfAnIndependentLibraryAreFound() throws IOException {
    int compared = 0;
    for (String line : table()) {
      String[] cells = line.split(";");
      Optional<Chord> theirs = Chord.find(cells[1].replaceAll("^([A-G][#b]*)M(/.*)?$", "$1"));
      if (theirs.isEmpty() || !QualityBook.common().contains(theirs.get().quality())) {
        continue;
      }
      compared++;
      Set<Integer> tones = QualityBook.semitones(theirs.get().quality());
      assertThat(ChordNamer.in(KEY).names(rising(cells[0])))
          .as(line)
          .anyMatch(
              name ->
                  QualityBook.semitones(name.chord().quality()).equals(tones)
                      && name.chord().root().pitchClass() == theirs.get().root().pitchClass());
    }
    assertThat(compared).isGreaterThanOrEqualTo(150);
  }

  private static List<Integer> rising(String notes) {
    List<Integer> keys = new ArrayList<>();
    int floor = 48;
    for (String note : notes.split(" ")) {
      int key = Pitch.atOrAbove(floor, NoteName.parse(note).pitchClass());
      keys.add(key);
      floor = key + 1;
    }
    return keys;
  }

  private static List<String> table() throws IOException {
    try (InputStream in = ChordNamerTest.class.getResourceAsStream("/reference/chord-names.csv")) {
      String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      return text.lines().filter(line -> !line.startsWith("#")).toList();
    }
  }
}
