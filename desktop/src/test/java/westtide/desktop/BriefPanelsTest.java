package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.control.TextField;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;

/** Finding the key and the calculators, as a person uses them. */
class BriefPanelsTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(demo(0));
  }

  @BeforeEach
  void openBrief() {
    go(Stage.BRIEF);
  }

  private String field(String id) {
    return lookup(id).queryAs(TextField.class).getText();
  }

  @Test
  void theKeyOfTypedNotesIsRankedAndTaken() {
    press("#find-key");
    type("#key-notes", "A C:2 D E:1.5 F:.5 E D:2 B G:1.5 A:.5 B C:2 A A:2");
    assertThat(words("#key-guess-0")).isEqualTo("A minor");
    assertThat(shown("#key-guess-4")).isTrue();
    press("#key-take-0");
    assertThat(song().brief().key()).hasToString("A minor");
    assertThat(shown("#key-panel")).isFalse();
    press("#undo");
    assertThat(song().brief().key()).hasToString("F♯ minor");
  }

  @Test
  void theKeyOfTheSongItselfIsFound() {
    press("#find-key", "#key-of-song");
    assertThat(words("#key-guess-0")).isEqualTo("F♯ minor");
  }

  @Test
  void whatIsNoNoteIsSaidAndNothingIsLost() {
    press("#find-key");
    type("#key-notes", "A C hello");
    assertHas(words("#key-notes-problem"), "type notes such as F#", "hello");
    assertThat(field("#key-notes")).isEqualTo("A C hello");
  }

  @Test
  void theCalculatorsGoBothWays() {
    press("#open-bench");
    type("#bench-bars", "4");
    assertThat(field("#bench-seconds")).isEqualTo("6.575");
    type("#bench-seconds", "8");
    assertThat(field("#bench-bars")).isEqualTo("4.867");
    assertHas(words("#bench-readings"), "2 bars at 60", "4 bars at 120");
    type("#bench-from", "80");
    assertThat(field("#bench-semitones")).isEqualTo("10.41");
    type("#bench-semitones", "12");
    assertThat(field("#bench-from")).isEqualTo("73");
    type("#bench-note", "E1");
    assertThat(field("#bench-hertz")).isEqualTo("41.2");
    assertThat(field("#bench-midi")).isEqualTo("28");
    type("#bench-hertz", "440");
    assertThat(field("#bench-note")).isEqualTo("A4");
    type("#bench-form-bars", "104");
    assertThat(field("#bench-form-time")).isEqualTo("2:51");
    assertThat(field("#bench-value-quarter")).startsWith("410.96 ms");
    type("#bench-seconds", "long");
    assertHas(words("#bench-problem"), "type seconds as a number");
  }
}
