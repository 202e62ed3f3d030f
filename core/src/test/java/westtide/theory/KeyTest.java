package westtide.theory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class KeyTest {
  /** The circle of fifths, standard theory. */
  @ParameterizedTest
  @CsvSource({
    "C major, 0",
    "G major, 1",
    "F# major, 6",
    "C# major, 7",
    "F major, -1",
    "Gb major, -6",
    "Cb major, -7",
    "A minor, 0",
    "F# minor, 3",
    "D minor, -1",
    "A# minor, 7",
    "Ab minor, -7",
    "Eb minor, -6",
    "A dorian, 0",
    "E phrygian, 1",
    "G mixolydian, 1",
    "G# major, -4",
    "D harmonic minor, -1"
  })
  void signaturesNameTheTonic(String key, int signs) {
    assertThat(Key.parse(key).signature()).isEqualTo(signs);
  }

  @ParameterizedTest
  @CsvSource({
    "F#m, F♯ minor",
    "f# minor, F♯ minor",
    "Bb, B♭ major",
    "A  Dorian, A dorian",
    "C natural minor, C minor"
  })
  void keysAreReadAsPeopleWriteThem(String typed, String shown) {
    assertThat(Key.parse(typed)).hasToString(shown);
    assertThat(Key.parse(Key.parse(typed).toString())).isEqualTo(Key.parse(typed));
  }

  @Test
  void anUnknownKeySaysWhatIsExpected() {
    assertThatThrownBy(() -> Key.parse("H minor"))
        .hasMessageContaining("H minor")
        .hasMessageContaining("F# minor");
    assertThat(Key.find("C spanish")).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "F# minor, 69, ♭3",
    "F# minor, 68, 2",
    "F# minor, 65, 7",
    "F# minor, 67, ♭2",
    "C major, 66, ♯4",
    "C blues, 66, ♭5",
    "A dorian, 66, 6"
  })
  void notesAreCountedFromTheTonic(String key, int midi, String degree) {
    assertThat(Key.parse(key).degreeOf(midi % 12)).hasToString(degree);
  }

  @ParameterizedTest
  @CsvSource({
    "D minor, 70, B♭4",
    "B major, 70, A♯4",
    "F# minor, 65, E♯4",
    "Eb minor, 59, C♭4",
    "C# major, 65, E♯4"
  })
  void notesAreSpelledForTheKey(String key, int midi, String shown) {
    assertThat(Key.parse(key).pitch(midi)).hasToString(shown);
  }

  @Test
  void theNearestScaleNoteIsNeverFurtherThanTheGapInTheScale() {
    for (Scale scale : Scale.values()) {
      Key key = new Key(NoteName.parse("F#"), scale);
      for (int midi = 12; midi <= 115; midi++) {
        int nearest = key.nearest(midi);
        assertThat(key.contains(nearest % 12)).isTrue();
        assertThat(Math.abs(nearest - midi)).isLessThanOrEqualTo(2);
      }
    }
  }

  @ParameterizedTest
  @CsvSource({
    "F# minor, F#m",
    "A dorian, Adorian",
    "Bb major, Bb",
    "D harmonic minor, Dharmonicminor"
  })
  void fileNamesUseTypedSigns(String key, String name) {
    assertThat(Key.parse(key).shortName()).isEqualTo(name);
  }

  @Test
  void aPitchClassIsContainedWhenItIsAmongTheSpelledNotes() {
    for (Scale scale : Scale.values()) {
      for (String tonic : List.of("C", "F#", "Cb")) {
        Key key = new Key(NoteName.parse(tonic), scale);
        List<Integer> spelled = key.notes().stream().map(NoteName::pitchClass).toList();
        for (int pitchClass = 0; pitchClass < 12; pitchClass++) {
          assertThat(key.contains(pitchClass))
              .as(key + " and " + pitchClass)
              .isEqualTo(spelled.contains(pitchClass));
        }
      }
    }
  }
}
