package westtide.desktop.lines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoMoreInteractions;
import static org.mockito.Mockito.when;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import westtide.rhythm.Meter;
import westtide.song.Note;
import westtide.song.Pattern;
import westtide.theory.Key;

/** What gestures ask for, with a stand-in for the room that keeps the line as the room would. */
class NoteGesturesTest {
  private static final DegreeRows ROWS = new DegreeRows(Key.parse("F# minor"), 60, 84, 30, 500);
  private static final Note NOTE = new Note(960, 480, 73, 90);

  private final NoteGestures.Hands hands = mock(NoteGestures.Hands.class);
  private final List<Note> notes = new ArrayList<>(List.of(NOTE));
  private final NoteGestures gestures = new NoteGestures(hands, this::page, () -> {});

  private Optional<Note> chosen = Optional.empty();

  private boolean choose(Optional<Note> note) {
    chosen = note;
    return true;
  }

  private LinePage page() {
    return new LinePage(new Pattern.Written(4, notes), Meter.COMMON, 0, ROWS, 50, 818);
  }

  @BeforeEach
  void keepTheLine() {
    when(hands.chosen()).thenAnswer(call -> chosen.filter(notes::contains));
    doAnswer(call -> choose(call.getArgument(0))).when(hands).choose(any());
    doAnswer(call -> notes.add(call.getArgument(0)) && choose(Optional.of(call.getArgument(0))))
        .when(hands)
        .add(any());
    doAnswer(call -> notes.remove((Note) call.getArgument(0)) && choose(Optional.empty()))
        .when(hands)
        .remove(any());
    doAnswer(
            call ->
                notes.remove((Note) call.getArgument(0))
                    && notes.add(call.getArgument(1))
                    && choose(Optional.of(call.getArgument(1))))
        .when(hands)
        .replace(any(), any(), anyLong());
  }

  private static MouseEvent mouse(double x, double y) {
    return new MouseEvent(
        MouseEvent.MOUSE_PRESSED,
        x,
        y,
        x,
        y,
        MouseButton.PRIMARY,
        1,
        false,
        false,
        false,
        false,
        true,
        false,
        false,
        false,
        false,
        true,
        null);
  }

  private void key(KeyCode code, boolean shift) {
    gestures.key(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, shift, false, false, false));
  }

  private void pressOn(Note note, int ticksInside) {
    gestures.press(mouse(page().time().at(note.start() + ticksInside), ROWS.y(note.key())));
  }

  @Test
  void aPressOnNothingWritesANoteThere() {
    gestures.press(mouse(page().time().at(2000), ROWS.y(76)));
    verify(hands).add(new Note(1920, 480, 76, 92));
    assertThat(gestures.chosen()).contains(new Note(1920, 480, 76, 92));
  }

  @Test
  void aPressLeftOfTheLineDoesNothing() {
    gestures.press(mouse(20, ROWS.y(76)));
    verifyNoMoreInteractions(hands);
  }

  @Test
  void aDragMovesByItsDistanceAndIsOneGesture() {
    pressOn(NOTE, 100);
    double x = page().time().at(NOTE.start() + 100);
    gestures.drag(mouse(x + page().time().length(230), ROWS.y(73)));
    gestures.drag(mouse(x + page().time().length(480), ROWS.y(76)));
    gestures.release();
    ArgumentCaptor<Long> gesture = ArgumentCaptor.forClass(Long.class);
    verify(hands)
        .replace(any(), org.mockito.ArgumentMatchers.eq(NOTE.withStart(1200)), gesture.capture());
    verify(hands)
        .replace(
            any(),
            org.mockito.ArgumentMatchers.eq(NOTE.withStart(1440).withKey(76)),
            gesture.capture());
    assertThat(gesture.getAllValues()).containsOnly(gesture.getValue());
    gestures.drag(mouse(x, ROWS.y(60)));
    assertThat(notes).containsExactly(NOTE.withStart(1440).withKey(76));
  }

  @Test
  void aDragNeverLeavesTheLine() {
    pressOn(NOTE, 100);
    gestures.drag(mouse(-4000, ROWS.y(73)));
    assertThat(notes).containsExactly(NOTE.withStart(0));
    gestures.drag(mouse(9000, ROWS.y(73)));
    assertThat(notes).containsExactly(NOTE.withStart(4 * 3840 - 480));
  }

  @Test
  void theRightEndLengthensAndNeverBelowAStep() {
    pressOn(NOTE, 478);
    double x = page().time().at(NOTE.end());
    gestures.drag(mouse(x + page().time().length(720), ROWS.y(76)));
    assertThat(notes).containsExactly(NOTE.withTicks(1200));
    gestures.drag(mouse(0, ROWS.y(76)));
    assertThat(notes).containsExactly(NOTE.withTicks(240));
  }

  @Test
  void keysMoveStepsScaleNotesSemitonesLengthAndVelocity() {
    pressOn(NOTE, 10);
    gestures.release();
    key(KeyCode.RIGHT, false);
    key(KeyCode.UP, false);
    key(KeyCode.UP, true);
    key(KeyCode.RIGHT, true);
    key(KeyCode.LEFT, true);
    key(KeyCode.LEFT, true);
    key(KeyCode.LEFT, true);
    key(KeyCode.PLUS, false);
    assertThat(notes).containsExactly(new Note(1200, 240, 75, 96));
    assertThat(gestures.cursorStep()).isEqualTo(5);
    assertThat(gestures.cursorKey()).isEqualTo(75);
  }

  @Test
  void deleteRemovesAndEscapeLetsGo() {
    pressOn(NOTE, 10);
    key(KeyCode.ESCAPE, false);
    verify(hands, never()).remove(any());
    assertThat(gestures.chosen()).isEmpty();
    pressOn(NOTE, 10);
    key(KeyCode.DELETE, false);
    verify(hands).remove(NOTE);
    assertThat(notes).isEmpty();
  }

  @Test
  void theCursorStaysOnThePageAndChoosesWhatItStandsOn() {
    for (int i = 0; i < 100; i++) {
      key(KeyCode.LEFT, false);
    }
    assertThat(gestures.cursorStep()).isZero();
    for (int i = 0; i < 100; i++) {
      key(KeyCode.RIGHT, false);
    }
    assertThat(gestures.cursorStep()).isEqualTo(63);
    for (int i = 63; i > 5; i--) {
      key(KeyCode.LEFT, false);
    }
    key(KeyCode.UP, false);
    key(KeyCode.ENTER, false);
    verify(hands, never()).add(any());
    verify(hands).choose(Optional.of(NOTE));
  }

  @Test
  void aNoteThatIsGoneIsLetGo() {
    pressOn(NOTE, 10);
    notes.clear();
    gestures.settle();
    assertThat(gestures.chosen()).isEmpty();
  }
}
