package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;
import westtide.song.Brief;
import westtide.song.Song;
import westtide.theory.Key;

/** Tempo, key, swing, length and the evening are pulled where they are drawn. */
class BriefDrawingTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(demo(0));
  }

  @BeforeEach
  void openBrief() {
    go(Stage.BRIEF);
  }

  private Brief brief() {
    return song().brief();
  }

  @Test
  void theTempoIsPulledAlongItsLineInOneStep() {
    Song before = song();
    Point2D mark = middle("#tempo-rule-mark");
    drag(mark, mark.add(-120, 0));
    assertThat(brief().tempo().bpm())
        .isBetween(130.0, 137.0)
        .isEqualTo(Math.rint(brief().tempo().bpm()));
    press("#undo");
    assertThat(song()).isEqualTo(before);
    interact(() -> lookup("#tempo-rule").query().requestFocus());
    push(KeyCode.RIGHT);
    assertThat(brief().tempo()).hasToString("147");
  }

  /** C♯ stands a fifth above F♯, B a fifth below it. */
  @Test
  void theRingIsTurnedByHandAndByKeys() {
    Song before = song();
    drag(middle("#ring-1"), middle("#ring-0"));
    assertThat(brief().key()).isEqualTo(Key.parse("C# minor"));
    press("#undo");
    assertThat(song()).isEqualTo(before);
    interact(() -> lookup("#key-ring").query().requestFocus());
    push(KeyCode.LEFT);
    assertThat(brief().key()).isEqualTo(Key.parse("B minor"));
    push(KeyCode.RIGHT);
    assertThat(brief().key()).isEqualTo(Key.parse("F# minor"));
  }

  @Test
  void aTurnIsGivenBackByEscape() {
    Song before = song();
    pressAt(middle("#ring-3"));
    glide(middle("#ring-3"), middle("#ring-0"));
    push(KeyCode.ESCAPE);
    release();
    assertThat(song()).isSameAs(before);
  }

  @Test
  void theWishIsPulledAndSaysHowManyBarsAreMissing() {
    Point2D mark = middle("#length-rule-mark");
    drag(mark, mark.add(-60, 0));
    assertThat(brief().plan().seconds()).isBetween(130, 160);
    interact(() -> lookup("#evening-sheet").query().requestFocus());
    push(KeyCode.RIGHT);
    push(KeyCode.UP);
    push(KeyCode.UP);
    assertThat(brief().plan().minutes()).containsEntry("Chords", 10);
    Point2D drums = middle("#evening-drums");
    drag(drums, drums.add(0, -10));
    assertThat(brief().plan().minutes().get("Drums")).isBetween(25, 55);
  }

  @Test
  void anyOffBeatIsPulledAndAllGoWithIt() {
    Point2D off = middle("#swing-3");
    drag(off, off.add(8, 0));
    assertThat(brief().swing().hundredths()).isBetween(5700, 6800);
    press("#undo");
    assertThat(brief().swing()).hasToString("54");
    interact(() -> lookup("#swing-sheet").query().requestFocus());
    push(KeyCode.RIGHT);
    push(KeyCode.RIGHT);
    assertThat(brief().swing()).hasToString("56");
  }
}
