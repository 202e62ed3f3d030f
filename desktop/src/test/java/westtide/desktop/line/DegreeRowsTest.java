package westtide.desktop.line;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import westtide.theory.Key;

class DegreeRowsTest {
  private static final DegreeRows ROWS = new DegreeRows(Key.parse("F# minor"), 60, 84, 30, 500);

  @Test
  void everyNoteComesBackFromItsRowAndHigherNotesStandHigher() {
    for (int midi = 60; midi <= 84; midi++) {
      assertThat(ROWS.midi(ROWS.y(midi))).isEqualTo(midi);
      if (midi > 60) {
        assertThat(ROWS.y(midi)).isLessThan(ROWS.y(midi - 1));
      }
    }
    assertThat(ROWS.midi(-1000)).isEqualTo(84);
    assertThat(ROWS.midi(1000)).isEqualTo(60);
  }

  @Test
  void rowsOutsideTheScaleAreThinnerAndSkippedByTheKeys() {
    assertThat(ROWS.thickness(67)).isLessThan(ROWS.thickness(66));
    assertThat(ROWS.next(66, 1)).isEqualTo(68);
    assertThat(ROWS.next(66, -1)).isEqualTo(64);
  }
}
