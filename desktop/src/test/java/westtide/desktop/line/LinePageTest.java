package westtide.desktop.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import westtide.rhythm.Meter;
import westtide.song.line.Note;
import westtide.theory.Key;

class LinePageTest {
  private static final Note LOW = new Note(4 * 3840, 480, 66, 90);
  private static final Note HIGH = new Note(4 * 3840 + 960, 240, 73, 90);
  private static final DegreeRows ROWS = new DegreeRows(Key.parse("F# minor"), 60, 84, 30, 500);
  private static final LinePage PAGE =
      new LinePage(List.of(LOW, HIGH), 6, Meter.COMMON, 0, 4, 4, ROWS, 50, 818);

  @Test
  void theLastPageEndsWithTheLine() {
    assertThat(PAGE.firstTick()).isEqualTo(4 * 3840);
    assertThat(PAGE.endTick()).isEqualTo(6 * 3840);
    assertThat(PAGE.step(50)).isEqualTo(64);
    assertThat(PAGE.step(-100)).isEqualTo(64);
    assertThat(PAGE.step(9999)).isEqualTo(95);
  }

  @Test
  void aNoteIsFoundWhereItIsDrawnAndNowhereElse() {
    double x = PAGE.time().at(LOW.start() + 200);
    assertThat(PAGE.noteAt(x, ROWS.y(66))).contains(LOW);
    assertThat(PAGE.noteAt(x, ROWS.y(73))).isEmpty();
    assertThat(PAGE.noteAt(PAGE.time().at(HIGH.start() + 100), ROWS.y(73) + 4)).contains(HIGH);
  }

  @Test
  void onlyTheRightEndIsAGripAlsoOnShortNotes() {
    double end = PAGE.time().at(HIGH.end());
    double start = PAGE.time().at(HIGH.start());
    assertThat(PAGE.atEnd(HIGH, end - 1)).isTrue();
    assertThat(PAGE.atEnd(HIGH, start + 1)).isFalse();
    assertThat(PAGE.atEnd(LOW, (PAGE.time().at(LOW.start()) + PAGE.time().at(LOW.end())) / 2))
        .isFalse();
  }

  @Test
  void notesStayInsideTheLine() {
    assertThat(PAGE.heldStart(-500, 480)).isZero();
    assertThat(PAGE.heldStart(6 * 3840, 480)).isEqualTo(6 * 3840 - 480);
    assertThat(PAGE.heldLength(HIGH, 99_999)).isEqualTo(6 * 3840 - HIGH.start());
    assertThat(PAGE.heldLength(HIGH, 0)).isEqualTo(240);
  }
}
