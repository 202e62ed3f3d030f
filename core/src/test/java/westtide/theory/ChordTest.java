package westtide.theory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ChordTest {
  @ParameterizedTest
  @CsvSource({
    "F#min9, F♯m9",
    "C-7, Cm7",
    "CM7, Cmaj7",
    "CΔ, Cmaj7",
    "Cø, Cm7♭5",
    "C°7, Cdim7",
    "C+, Caug",
    "C7(#9), C7♯9",
    "C6/9, C69",
    "Csus, Csus4",
    "Cadd2, Cadd9",
    "Cm(maj7), CmMaj7",
    "A/C#, A/C♯",
    "D6/9/F#, D69/F♯",
    "C/C, C",
    "C7alt, C7♯5♯9",
    "C(b5), C(♭5)"
  })
  void aliasesAreBroughtToOneForm(String typed, String shown) {
    assertThat(Chord.parse(typed)).hasToString(shown);
  }

  @ParameterizedTest
  @CsvSource({"H", "Cx", "C7b7", "Cadd99", "C/", "C5sus4", "Cmajx", "c", "Cmaj", "Cdim9", "Cno7"})
  void onlyRealChordsAreRead(String text) {
    boolean known = text.equals("Cmaj");
    assertThat(Chord.find(text).isPresent()).isEqualTo(known);
  }

  @Test
  void anUnknownChordSaysWhatIsExpected() {
    assertThatThrownBy(() -> Chord.parse("Q7"))
        .hasMessageContaining("Q7")
        .hasMessageContaining("F#m9");
  }

  @Test
  void aSlashBassOutsideTheChordSoundsButIsNoChordTone() {
    Chord chord = Chord.parse("D/E");
    assertThat(chord.contains(4)).isTrue();
    assertThat(chord.pitchClasses()).containsExactly(2, 6, 9);
    assertThat(chord.bass()).hasToString("E");
  }

  @Test
  void aPitchClassIsContainedWhenItIsAmongTheSpelledNotesThatSound() {
    for (ChordQuality quality : QualityBook.common()) {
      for (String root : List.of("C", "F#", "Bb", "B", "Cb")) {
        Chord chord = Chord.of(NoteName.parse(root), quality).withBass(NoteName.parse("D"));
        for (int pitchClass = 0; pitchClass < 12; pitchClass++) {
          assertThat(chord.contains(pitchClass))
              .as(chord + " and " + pitchClass)
              .isEqualTo(chord.sounding().contains(pitchClass));
        }
      }
    }
  }

  @Test
  void movingByAnIntervalKeepsTheShape() {
    assertThat(Chord.parse("F#m9/A").plus(Interval.ofDegree("b3"))).hasToString("Am9/C");
    assertThat(Chord.parse("G#").plus(Interval.ofDegree("#3"))).hasToString("C♯");
  }
}
