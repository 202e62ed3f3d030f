package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;

/** The typed line of chords, and what is told of a chosen one. */
class TypedChordsTest extends TrapSongTest {
  @Test
  void aChordLineIsTypedDrawnAndUndone() {
    go(Stage.CHORDS);
    type("#chord-line", "i9 . . VI/VII | bIImaj7 | V7b9 | .");
    assertThat(chords()).containsExactly("F♯m9", "D/E", "Gmaj7", "C♯7♭9");
    assertThat(lookup("#chord-card-3").query().getAccessibleText())
        .isEqualTo("Chord 4, V7♭9, C♯7♭9");
    assertThat(lookup("#chord-line").queryTextInputControl().getText())
        .isEqualTo("i9 . . VI/VII | ♭IImaj7 | V7♭9 | .");
    press("#notation-names");
    assertThat(lookup("#chord-line").queryTextInputControl().getText())
        .isEqualTo("F♯m9 . . D/E | Gmaj7 | C♯7♭9 | .");
    push(KeyCode.CONTROL, KeyCode.Z);
    push(KeyCode.CONTROL, KeyCode.Z);
    settle();
    assertThat(chords()).containsExactly("F♯m9", "Dmaj7", "A", "E", "Bm7");
  }

  @Test
  void aWrongChordIsPointedAtAndNothingIsLost() {
    go(Stage.CHORDS);
    type("#chord-line", "i9 | Hm7");
    assertHas(words("#chord-line-problem"), "column 6", "\"Hm7\" is no chord");
    assertThat(chords()).hasSize(5);
    assertThat(lookup("#chord-line").queryTextInputControl().getText()).isEqualTo("i9 | Hm7");
    push(KeyCode.ESCAPE);
    settle();
    assertThat(shown("#chord-line-problem")).isFalse();
    assertHas(lookup("#chord-line").queryTextInputControl().getText(), "VImaj7");
  }

  @Test
  void aChordIsChosenByMouseAndKeysAndTold() {
    go(Stage.CHORDS);
    clickOn("#chord-card-1");
    settle();
    assertHas(words("#chord-summary"), "Dmaj7 is D F♯ A C♯");
    push(KeyCode.RIGHT);
    settle();
    assertHas(words("#chord-summary"), "A is A C♯ E", "To E");
  }
}
