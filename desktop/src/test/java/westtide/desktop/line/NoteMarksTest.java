package westtide.desktop.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javafx.geometry.BoundingBox;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.Test;
import westtide.desktop.kit.Pull;
import westtide.rhythm.Meter;
import westtide.song.line.Note;
import westtide.theory.Key;

/** What gestures make of a line, with a stand-in for the room that keeps it as the room would. */
class NoteMarksTest {
  private static final DegreeRows ROWS = new DegreeRows(Key.parse("F# minor"), 60, 84, 30, 500);
  private static final Note NOTE = new Note(960, 480, 73, 90);
  private static final Note HIGH = new Note(1920, 240, 76, 80);

  private final List<Note> notes = new ArrayList<>(List.of(NOTE));
  private List<Note> chosen = List.of();
  private final NoteMarks marks = new NoteMarks(new Line(), this::page, () -> {});

  /** The room: it keeps the line and what is chosen. */
  private final class Line implements NoteMarks.Actions {
    @Override
    public List<Note> chosen() {
      return chosen;
    }

    @Override
    public void choose(List<Note> wanted) {
      chosen = List.copyOf(wanted);
    }

    @Override
    public void put(String name, List<Note> without, List<Note> with) {
      without.forEach(notes::remove);
      notes.addAll(with);
      chosen = List.copyOf(with);
    }
  }

  private LinePage page() {
    return new LinePage(List.copyOf(notes), 4, Meter.COMMON, 8, 0, 4, ROWS, 50, 818);
  }

  private double x(int tick) {
    return page().time().at(tick);
  }

  private Pull grab(Note note, int inside, boolean alt) {
    marks.choose(Set.of(note));
    return marks.grab(note, x(note.start() + inside), ROWS.y(note.key()), alt).orElseThrow();
  }

  private void key(KeyCode code, boolean shift) {
    marks
        .keys()
        .handle(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, shift, false, false, false));
  }

  private void shortcut(KeyCode code) {
    marks
        .keys()
        .handle(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, true, false, false));
  }

  @Test
  void aDoubleClickOnAnEmptyPlaceWritesANoteThereAndAClickDoesNot() {
    marks.cursor(x(2000), ROWS.y(76));
    assertThat(notes).containsExactly(NOTE);
    marks.write(x(2000), ROWS.y(76));
    assertThat(chosen).containsExactly(new Note(1920, 480, 76, 92));
    assertThat(notes).hasSize(2);
  }

  @Test
  void aDragOnAnEmptyPlaceWritesANoteAsLongAsTheDrag() {
    marks.cursor(x(1930), ROWS.y(76));
    Pull pull = marks.draw(x(1930), ROWS.y(76)).orElseThrow();
    assertThat(pull.to(x(2500), ROWS.y(70))).isEqualTo("3 steps");
    assertThat(pull.to(x(3000), ROWS.y(70))).isEqualTo("5 steps");
    assertThat(notes).containsExactly(NOTE, new Note(1920, 1200, 76, 92));
    assertThat(marks.draw(20, ROWS.y(76))).isEmpty();
  }

  @Test
  void aDragMovesAllChosenNotesAndSaysWhere() {
    notes.add(HIGH);
    marks.choose(Set.of(NOTE, HIGH));
    Pull pull = marks.grab(NOTE, x(1060), ROWS.y(73), false).orElseThrow();
    assertThat(pull.to(x(1060 + 480), ROWS.y(76))).isEqualTo("E5 at 9.2.3");
    assertThat(notes)
        .containsExactlyInAnyOrder(
            NOTE.withStart(1440).withKey(76), HIGH.withStart(2400).withKey(79));
    pull.to(x(-4000), ROWS.y(73));
    assertThat(notes).containsExactlyInAnyOrder(NOTE.withStart(0), HIGH.withStart(960));
  }

  @Test
  void theRightEndLengthensAndNeverBelowAStep() {
    Pull pull = grab(NOTE, 478, false);
    assertThat(pull.to(x(NOTE.end() + 720), ROWS.y(76))).isEqualTo("5 steps");
    assertThat(notes).containsExactly(NOTE.withTicks(1200));
    pull.to(0, ROWS.y(76));
    assertThat(notes).containsExactly(NOTE.withTicks(240));
  }

  @Test
  void withAltADragSetsTheVelocity() {
    Pull pull = grab(NOTE, 100, true);
    assertThat(pull.to(x(1060), ROWS.y(73) - 20)).isEqualTo("velocity 110");
    pull.to(x(1060), ROWS.y(73) - 900);
    assertThat(notes).containsExactly(NOTE.withVelocity(127));
  }

  @Test
  void keysMoveStepsDegreesSemitonesLengthAndVelocity() {
    marks.choose(Set.of(NOTE));
    key(KeyCode.RIGHT, false);
    key(KeyCode.UP, false);
    key(KeyCode.UP, true);
    key(KeyCode.RIGHT, true);
    key(KeyCode.LEFT, true);
    key(KeyCode.LEFT, true);
    key(KeyCode.LEFT, true);
    key(KeyCode.PLUS, false);
    assertThat(notes).containsExactly(new Note(1200, 240, 75, 96));
    key(KeyCode.PAGE_DOWN, false);
    assertThat(notes).containsExactly(new Note(1200, 240, 63, 96));
    key(KeyCode.ESCAPE, false);
    assertThat(chosen).isEmpty();
    key(KeyCode.DELETE, false);
    assertThat(notes).hasSize(1);
    shortcut(KeyCode.A);
    key(KeyCode.DELETE, false);
    assertThat(notes).isEmpty();
  }

  @Test
  void notesAreCopiedCutPastedAndDuplicated() {
    notes.add(HIGH);
    shortcut(KeyCode.A);
    shortcut(KeyCode.D);
    assertThat(notes).contains(NOTE.withStart(960 + 1200), HIGH.withStart(1920 + 1200)).hasSize(4);
    shortcut(KeyCode.X);
    assertThat(notes).containsExactly(NOTE, HIGH);
    marks.cursor(x(7680), ROWS.y(64));
    shortcut(KeyCode.V);
    assertThat(notes).contains(NOTE.withStart(7680), HIGH.withStart(8640)).hasSize(4);
  }

  @Test
  void aFrameChoosesTheNotesItTouches() {
    notes.add(HIGH);
    double y = ROWS.y(76);
    assertThat(marks.within(new BoundingBox(x(1000), y - 4, 200, ROWS.y(73) - y + 8)))
        .containsExactlyInAnyOrder(NOTE, HIGH);
    assertThat(marks.within(new BoundingBox(x(0), y - 4, 20, 400))).isEmpty();
  }

  @Test
  void theCursorStaysOnThePageAndWritesOrChooses() {
    for (int i = 0; i < 100; i++) {
      key(KeyCode.LEFT, false);
    }
    assertThat(marks.cursorStep()).isZero();
    for (int i = 0; i < 100; i++) {
      key(KeyCode.RIGHT, false);
    }
    assertThat(marks.cursorStep()).isEqualTo(63);
    for (int i = 63; i > 5; i--) {
      key(KeyCode.LEFT, false);
    }
    key(KeyCode.UP, false);
    key(KeyCode.ENTER, false);
    assertThat(chosen).containsExactly(NOTE);
    assertThat(notes).hasSize(1);
  }
}
