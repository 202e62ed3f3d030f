package westtide.theory.voicing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import westtide.theory.Chord;
import westtide.theory.ChordQuality;
import westtide.theory.Key;
import westtide.theory.Pitch;
import westtide.theory.QualityBook;

class VoicingKindTest {
  private static final VoicingRange RANGE = new VoicingRange(48, 60, 76);

  /** What the names mean (common practice), bass first: a C major seventh or a C minor ninth. */
  @ParameterizedTest
  @CsvSource({
    "Cmaj7, CLOSE, 0, C3 E4 G4 B4",
    "Cmaj7, CLOSE, 1, C3 G4 B4 E5",
    "C, CLOSE, 1, C3 E4 G4 C5",
    "Cmaj7, OPEN, 0, C3 E4 B4 G5",
    "C, DROP_2, 1, C3 G3 E4 C5",
    "Cm9, SHELL, 0, C3 E♭4 B♭4 D5",
    "Cm9, TWO_NOTES, 0, C3 C4 G4",
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
}
