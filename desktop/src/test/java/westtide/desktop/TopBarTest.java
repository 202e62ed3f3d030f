package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;
import westtide.song.Song;
import westtide.theory.Key;

/** Key, tempo and swing are edited in the top line, whatever room is in front. */
class TopBarTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(demo(0));
  }

  @Test
  void theyArePulledWhereTheyStandInOneStepEach() {
    go(Stage.FORM);
    Song before = song();
    Point2D tempo = middle("#bridge-tempo");
    drag(tempo, tempo.add(0, -25));
    assertThat(song().brief().tempo()).hasToString("150");
    Point2D key = middle("#bridge-key");
    drag(key, key.add(0, 13));
    assertThat(song().brief().key()).isEqualTo(Key.parse("E minor"));
    press("#undo", "#undo");
    assertThat(song()).isEqualTo(before);
  }

  @Test
  void arrowsMoveThemAndEnterTypesThem() {
    go(Stage.LEVELS);
    focus("#bridge-swing");
    push(KeyCode.UP);
    assertThat(song().brief().swing()).hasToString("55");
    push(KeyCode.ENTER);
    settle();
    assertThat(shown("#swing-sheet")).isTrue();
    type("#swing", "60");
    assertThat(words("#bridge-swing")).isEqualTo("60 %");
  }
}
