package westtide.follow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import westtide.Songs;
import westtide.song.Brief;

/** Which octave a bass is played in, at both sides of every edge. E1 is MIDI 28. */
class NearBassesTest {
  private static final Brief BRIEF = Songs.brief("E minor", 50);

  private static List<Integer> basses(String chords) {
    Harmony harmony = Harmony.of(Songs.progression(BRIEF, chords), 8, BRIEF);
    NearBasses near = NearBasses.of(harmony, 28, OptionalInt.empty());
    return harmony.chords().stream().map(near::of).distinct().toList();
  }

  /** A1 lies a fourth above the lowest note: its octave is the highest note there is room for. */
  @Test
  void theHighestPlaceIsTakenAndNothingAboveIt() {
    assertThat(basses("A | D")).as("A is a fifth under D, and as near above it").contains(38);
    assertThat(basses("G | E | A | D")).allMatch(key -> key >= 28 && key <= 45);
  }

  /** From D2 (38) to the A above (45) is a fifth, to the A below (33) a fourth. */
  @Test
  void ofTwoPlacesTheNearerIsTaken() {
    assertThat(basses("D | A")).containsExactly(38, 33);
    assertThat(basses("D# | E")).as("a semitone, not a major seventh").containsExactly(39, 40);
    assertThat(basses("D# | E | D# | C")).containsExactly(39, 40, 36);
  }

  /** B1 (35) to E1 is a fifth, to E2 (40) a fourth; E2 is an octave above the lowest note. */
  @Test
  void anOctaveAboveTheLowestCostsNothing() {
    assertThat(basses("B | E")).containsExactly(35, 40);
  }

  /** C2 (36) to F1 (29) is a fifth, to F2 (41) a fourth, but that is high. */
  @Test
  void aPlaceBeyondTheOctaveIsTakenOnlyToSpareALeap() {
    assertThat(basses("C | F")).containsExactly(36, 29);
    assertThat(basses("D# | F")).as("it spares a seventh down").containsExactly(39, 41);
  }
}
