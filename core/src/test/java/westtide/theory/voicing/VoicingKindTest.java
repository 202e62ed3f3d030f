package westtide.theory.voicing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import westtide.theory.Chord;
import westtide.theory.ChordQuality;
import westtide.theory.Key;
import westtide.theory.Pitch;
import westtide.theory.QualityBook;

class VoicingKindTest {
  private static final VoicingRange RANGE = new VoicingRange(48, 60, 76);

  /**
   * What the names mean (common practice), lowest note first: inversion 0 stands on the root, 1 on
   * the third, 2 on the fifth, 3 on the seventh. A thin kind keeps what makes the chord: the second
   * of a sus2, the flat fifth of a half-diminished chord.
   */
  @ParameterizedTest
  @CsvSource({
    "Cmaj7, CLOSE, 0, C3 E4 G4 B4",
    "Cmaj7, CLOSE, 1, E3 C4 G4 B4",
    "Cmaj7, CLOSE, 2, G3 E4 B4 C5",
    "Cmaj7, CLOSE, 3, B3 E4 G4 C5",
    "C, CLOSE, 1, E3 E4 G4 C5",
    "C/D, CLOSE, 0, C3 E4 G4 C5",
    "Cmaj7, OPEN, 0, C3 E4 B4 G5",
    "C, DROP_2, 1, E3 C4 G4 E5",
    "Cm9, SHELL, 0, C3 E♭4 B♭4 D5",
    "Cm9, TWO_NOTES, 0, C3 G4 C5",
    "Csus2, TWO_NOTES, 0, C3 D4 G4 C5",
    "Cm7b5, SHELL, 0, C3 E♭4 F♯4 B♭4",
    "Cm9, OCTAVE_STACK, 0, C3 C4 G4 C5 G5",
    "C7, ROOT_DOUBLED, 0, C3 C4 E4 G4 B♭4"
  })
  void eachKindIsSpreadAsItsNameSays(String chord, VoicingKind kind, int turns, String notes) {
    VoicingWish wish =
        new VoicingWish(
            Chord.parse(chord), Optional.of(kind), Optional.of(turns), Optional.empty());
    Voicing voicing = VoicingPlan.in(RANGE).lay(List.of(wish)).get(0);
    Key key = Key.parse("C minor");
    String read =
        voicing.keys().stream().map(k -> key.pitch(k).toString()).collect(Collectors.joining(" "));
    assertThat(read).isEqualTo(notes);
  }

  @Test
  void everyKindLaysEveryChordOnItsBassWithItsOwnNotes() {
    for (ChordQuality quality : QualityBook.common()) {
      for (int root = 0; root < 12; root++) {
        Chord chord = Chord.of(Pitch.of(60 + root).name(), quality);
        for (VoicingKind kind : VoicingKind.values()) {
          Voicing voicing = VoicingPlan.in(RANGE).spread(kind).voice(List.of(chord)).get(0);
          assertThat(voicing.bass() % 12).as(chord + " " + kind).isEqualTo(root);
          assertThat(voicing.keys()).allMatch(k -> chord.contains(k % 12) || fifth(chord, k));
        }
      }
    }
  }

  /** Two-note stacks give a chord without a fifth a perfect one. */
  private static boolean fifth(Chord chord, int key) {
    return Math.floorMod(key - chord.root().pitchClass(), 12) == 7;
  }

  /** Standard theory: an inversion is named after the chord tone that is lowest. */
  @Test
  void anInversionStandsOnTheToneItIsNamedAfterInEveryKind() {
    for (ChordQuality quality : QualityBook.common()) {
      Chord chord = Chord.of(Pitch.of(62).name(), quality);
      for (VoicingKind kind : VoicingKind.values()) {
        for (int turn = 0; turn < chord.notes().size(); turn++) {
          VoicingWish wish =
              new VoicingWish(chord, Optional.of(kind), Optional.of(turn), Optional.empty());
          List<Integer> keys = VoicingPlan.in(RANGE).lay(List.of(wish)).get(0).keys();
          int lowest = keys.stream().min(Integer::compare).orElseThrow();
          assertThat(lowest % 12)
              .as(chord + " " + kind + " inversion " + turn)
              .isEqualTo(chord.notes().get(turn).pitchClass());
        }
      }
    }
  }

  /** The top voice goes as far as the root does: never 11 to 14 semitones. */
  @ParameterizedTest
  @ValueSource(
      strings = {"Am | F | C | G", "Am | Bb | Am | E", "F#m | D | Bm | C#m", "Cm | Ab | Fm"})
  void anOctaveStackMovesAsOneShape(String line) {
    List<Chord> chords = Stream.of(line.split(" \\| ")).map(Chord::parse).toList();
    List<Voicing> laid = VoicingPlan.in(RANGE).spread(VoicingKind.OCTAVE_STACK).voice(chords);
    for (int i = 1; i < laid.size(); i++) {
      List<Integer> before = laid.get(i - 1).upper();
      List<Integer> after = laid.get(i).upper();
      assertThat(Math.abs(after.get(after.size() - 1) - before.get(before.size() - 1)))
          .as(chords.get(i - 1) + " to " + chords.get(i))
          .isLessThanOrEqualTo(10);
    }
  }
}
