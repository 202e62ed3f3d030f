package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;
import westtide.rhythm.Feel;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;

/**
 * What the shared controls answer to keys: nothing is chosen, taken or moved by passing over it.
 */
class ControlsByKeysTest extends TrapSongTest {
  private String focused() {
    return window.getScene().getFocusOwner().getId();
  }

  @Test
  void chipsAreOneTabStopAndChooseBySpaceOrEnter() {
    go(Stage.BRIEF);
    Feel feel = song().brief().feel();
    focus("#feel-half-time");
    push(KeyCode.LEFT);
    assertThat(focused()).startsWith("feel-").isNotEqualTo("feel-half-time");
    assertThat(song().brief().feel()).isEqualTo(feel);
    push(KeyCode.SPACE);
    assertThat(song().brief().feel()).isNotEqualTo(feel);
    assertThat(shell.play().gauges().playing()).isFalse();
    push(KeyCode.RIGHT);
    push(KeyCode.ENTER);
    assertThat(song().brief().feel()).isEqualTo(feel);
    push(KeyCode.TAB);
    assertThat(focused()).doesNotStartWith("feel-");
  }

  @Test
  void aStageIsPassedOverByArrowsAndOpenedByEnter() {
    go(Stage.BRIEF);
    focus("#stage-brief");
    push(KeyCode.DOWN);
    push(KeyCode.DOWN);
    assertThat(focused()).isEqualTo("stage-drums");
    assertThat(shown("#tempo")).isTrue();
    push(KeyCode.ENTER);
    settle();
    assertThat(shown("#bead-sheet")).isTrue();
  }

  @Test
  void aListIsBrowsedWithoutAnEdit() {
    go(Stage.BRIEF);
    Song before = song();
    focus("#key-scale");
    push(KeyCode.DOWN);
    for (int i = 0; i < 9; i++) {
      push(KeyCode.DOWN);
    }
    push(KeyCode.ESCAPE);
    assertThat(song()).isSameAs(before);
    assertThat(focused()).isEqualTo("key-scale");
    push(KeyCode.ENTER);
    write("dor");
    push(KeyCode.ENTER);
    settle();
    assertThat(song().brief().key().scale()).hasToString("dorian");
  }

  @Test
  void whatIsPickedIsDoneOnceAndNoFailureIsTold() {
    go(Stage.DRUMS);
    Song before = song();
    focus("#add-voice");
    push(KeyCode.DOWN);
    push(KeyCode.DOWN);
    push(KeyCode.ESCAPE);
    assertThat(song()).isSameAs(before);
    choose("#add-voice", DrumVoice.RIDE);
    assertThat(groove().find(DrumVoice.RIDE.lane())).isPresent();
    assertThat(lookup("#message").query().getStyleClass()).doesNotContain("bad");
    clickOn("#add-voice");
    clickOn("#lane-line");
    assertThat(lookup("#add-voice-list").tryQuery()).isEmpty();
  }

  @Test
  void anErrorMovesNothingAndStaysUntilItIsCorrected() {
    go(Stage.BRIEF);
    Bounds tap = place("#tap-tempo");
    type("#tempo", "five");
    assertHas(words("#tempo-problem"), "20 to 300");
    assertThat(place("#tap-tempo")).isEqualTo(tap);
    TextField field = lookup("#tempo").query();
    assertThat(field.getText()).isEqualTo("five");
    assertThat(field.getPseudoClassStates()).contains(PseudoClass.getPseudoClass("wrong"));
    press("#feel-half-time");
    assertThat(field.getText()).isEqualTo("five");
    clickOn("#tempo");
    push(KeyCode.ESCAPE);
    assertThat(field.getText()).isEqualTo(song().brief().tempo().toString());
    assertThat(lookup("#tempo-problem").tryQuery()).isEmpty();
  }

  @Test
  void anErrorGoesWithItsRoom() {
    go(Stage.BRIEF);
    type("#tempo", "five");
    go(Stage.CHORDS);
    assertThat(lookup("#tempo-problem").tryQuery()).isEmpty();
  }

  @Test
  void spacePressesWhatHasTheFocus() {
    go(Stage.LINES);
    int key = line().get(0).key();
    focus("#octave-up");
    push(KeyCode.SPACE);
    settle();
    assertThat(line().get(0).key()).isEqualTo(key + 12);
    assertThat(shell.play().gauges().playing()).isFalse();
    focus("#degree-sheet");
    push(KeyCode.SPACE);
    waitFor(() -> shell.play().gauges().playing());
    push(KeyCode.SPACE);
  }

  @Test
  void escapeLeavesTheKeyFinderFromItsField() {
    run("find-key");
    clickOn("#key-notes");
    write("F# A C#");
    push(KeyCode.ESCAPE);
    settle();
    assertThat(shown("#overlay")).isFalse();
  }

  private Bounds place(String query) {
    settle();
    Node node = lookup(query).query();
    return node.localToScene(node.getLayoutBounds());
  }
}
