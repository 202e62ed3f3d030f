package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import javafx.scene.shape.Circle;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.song.Role;
import westtide.song.drum.DrumVoice;

/** Hits and lanes by mouse, by keys and typed. */
class HitSheetTest extends TrapSongTest {
  private StepLane lane(DrumVoice voice) {
    return groove().lane(voice).orElseThrow();
  }

  @Test
  void aDoubleClickWritesAClickChoosesAndADragSetsTheVelocity() {
    go(Stage.DRUMS);
    Point2D first = middle("#bead-kick-1");
    double step = (middle("#bead-closed_hat-3").getX() - middle("#bead-closed_hat-1").getX()) / 2;
    Point2D empty = new Point2D(first.getX() + step, first.getY());
    clickOn(empty);
    assertThat(lane(DrumVoice.KICK).at(1)).as("a click only sets the cursor").isEmpty();
    waitOutDoubleClick();
    doubleClickOn(empty);
    settle();
    assertThat(lane(DrumVoice.KICK).at(1)).map(Hit::velocity).contains(92);
    assertThat(shown("#bead-kick-2")).isTrue();
    double small = lookup("#bead-kick-2").queryAs(Circle.class).getRadius();
    Point2D bead = middle("#bead-kick-2");
    drag(bead, bead.add(0, -30));
    settle();
    assertThat(lane(DrumVoice.KICK).at(1).orElseThrow().velocity()).isBetween(112, 127);
    assertThat(lookup("#bead-kick-2").queryAs(Circle.class).getRadius()).isGreaterThan(small);
    press("#undo");
    assertThat(lane(DrumVoice.KICK).at(1)).map(Hit::velocity).contains(92);
    clickOn(middle("#bead-kick-2"));
    settle();
    assertThat(lane(DrumVoice.KICK).at(1)).as("a click only chooses").isPresent();
    assertThat(lookup("#bead-sheet .chosen-ring").queryAll()).hasSize(1);
    push(KeyCode.DELETE);
    settle();
    assertThat(lane(DrumVoice.KICK).at(1)).isEmpty();
  }

  @Test
  void theKeysWalkPlaceShadeRollAndNudge() {
    go(Stage.DRUMS);
    interact(() -> lookup("#bead-sheet").query().requestFocus());
    push(KeyCode.HOME);
    push(KeyCode.DOWN);
    push(KeyCode.DOWN);
    push(KeyCode.RIGHT);
    push(KeyCode.ENTER);
    push(KeyCode.DIGIT5);
    push(KeyCode.R);
    push(KeyCode.R);
    push(KeyCode.PERIOD);
    settle();
    assertThat(lane(DrumVoice.SNARE).at(1)).contains(new Hit(1, 64, 5, 3));
    assertHas(words("#hit-summary"), "Snare · 9.1.2", "velocity 64", "+5 ticks", "roll of 3");
    push(KeyCode.MINUS);
    push(KeyCode.COMMA);
    settle();
    assertThat(lane(DrumVoice.SNARE).at(1)).contains(new Hit(1, 58, 0, 3));
    push(KeyCode.DELETE);
    settle();
    assertThat(lane(DrumVoice.SNARE).at(1)).isEmpty();
  }

  @Test
  void aLaneIsTypedAndAWrongSignIsSaid() {
    go(Stage.DRUMS);
    type("#lane-line", "X... o.x4.");
    assertThat(lane(DrumVoice.KICK)).hasToString("X...o.x4.");
    type("#lane-line", "x.y.");
    assertHas(words("#lane-line-problem"), "column 3", "y");
    assertThat(lane(DrumVoice.KICK)).hasToString("X...o.x4.");
  }

  @Test
  void voicesAndGroovesAreAdded() {
    go(Stage.DRUMS);
    choose("#add-voice", DrumVoice.RIDE);
    assertThat(groove().lane(DrumVoice.RIDE)).isPresent();
    interact(() -> shell.run("drums-groove"));
    settle();
    press("#groove-copy");
    assertThat(shown("#groove-b")).isTrue();
    assertThat(song().parts(Role.DRUMS).get(0).patterns()).hasSize(4);
  }
}
