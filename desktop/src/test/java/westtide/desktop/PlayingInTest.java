package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.edit.line.LineEdits;
import westtide.song.line.Note;
import westtide.song.pattern.LineCycle;
import westtide.song.pattern.Pattern;

/** Lines played in, varied, drawn anew and heard before they are kept, in a rhythm of their own. */
class PlayingInTest extends TrapSongTest {
  private static final List<Note> SHORT =
      List.of(new Note(0, 480, 73, 96), new Note(960, 480, 74, 84), new Note(1440, 960, 69, 100));

  private Part lead() {
    return song().parts(Role.LINE).get(0);
  }

  private Pattern.Written pattern() {
    return (Pattern.Written) lead().patterns().get(0).pattern();
  }

  private void shortLine() {
    go(Stage.LINES);
    LineEdits edits = new LineEdits(lead().id(), lead().patterns().get(0).name());
    interact(() -> shell.open().apply(edits.replace("", new Pattern.Written(1, SHORT))));
  }

  @Test
  void theSimulatedPlayerPlaysALineAndItIsQuantisedAtHalfStrengthAndAgain() {
    shortLine();
    press("#lines-page-play-in");
    choose("#line-input", "simulated player");
    type("#line-strength", "50");
    press("#line-record");
    assertHas(words("#line-play-summary"), "counting in");
    waitFor(() -> words("#line-play-summary").contains("3 notes"));
    press("#line-record");
    assertHas(words("#line-play-summary"), "notes kept", "50 % of the way");
    List<Note> half = pattern().notes();
    assertThat(half).extracting(Note::key).containsExactly(73, 74, 69);
    assertThat(half).anyMatch(note -> note.start() % 240 != 0);
    type("#line-strength", "100");
    press("#line-again");
    assertThat(pattern().notes()).extracting(Note::start).containsExactly(0, 960, 1440);
    press("#undo");
    assertThat(pattern().notes()).isEqualTo(half);
    press("#undo");
    assertThat(pattern().notes()).isEqualTo(SHORT);
  }

  @Test
  void keysPlayDegreesAndNoNoteIsLeftHanging() {
    shortLine();
    press("#lines-page-play-in");
    press("#line-keep");
    press("#line-record");
    waitFor(() -> words("#line-play-summary").startsWith("recording"));
    push(KeyCode.DIGIT1);
    push(KeyCode.DIGIT5);
    waitFor(() -> words("#line-play-summary").contains("2 notes"));
    press("#line-record");
    assertThat(pattern().notes()).containsAll(SHORT).hasSize(5);
    List<Note> played = pattern().notes().stream().filter(n -> !SHORT.contains(n)).toList();
    assertThat(played).extracting(n -> n.key() % 12).containsExactlyInAnyOrder(6, 1);
    assertThat(played).allMatch(n -> n.end() <= 3840);
    press("#undo");
    assertThat(pattern().notes()).isEqualTo(SHORT);
  }

  @Test
  void variationsSayWhatTheyDidAndTakesAreHeardBeforeOneIsKept() {
    shortLine();
    press("#lines-page-vary");
    press("#vary-busier");
    waitFor(() -> pattern().notes().size() > 3);
    assertHas(words("#vary-told"), "Added", "softer");
    press("#undo");
    Pattern.Written before = pattern();
    press("#take-three");
    waitFor(() -> shell.play().trying());
    assertThat(pattern()).as("nothing is changed before one is kept").isEqualTo(before);
    press("#take-take-2");
    assertHas(words("#vary-told"), "notes in");
    press("#take-keep");
    assertThat(pattern()).isNotEqualTo(before);
    assertThat(shell.play().trying()).isFalse();
    press("#undo");
    assertThat(pattern()).isEqualTo(before);
  }

  @Test
  void aLineGetsALengthOfItsOwnAndTakesTheRhythmOfAnotherPart() {
    shortLine();
    press("#lines-page-rhythm");
    type("#cycle-steps", "7");
    assertThat(pattern().cycle()).isEqualTo(new LineCycle(7, 0));
    type("#note-every", "2");
    assertThat(pattern().notes()).allMatch(note -> note.every() == 2);
    press("#undo");
    choose("#rhythm-of", "Bass guitar");
    press("#rhythm-borrow");
    assertHas(words("#lines-summary"), "in the rhythm of Bass guitar");
    press("#rhythm-own");
    assertThat(pattern().notes()).isEqualTo(SHORT);
  }
}
