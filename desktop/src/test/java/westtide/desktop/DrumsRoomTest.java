package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import westtide.compose.EightBars;
import westtide.review.Stage;
import westtide.rhythm.Hit;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.StepLane;
import westtide.song.DrumVoice;
import westtide.song.Pattern;

/** Flams, swells, passes and the shapes of lanes, by keyboard and by mouse. */
class DrumsRoomTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(shell.demos().get(0));
  }

  @BeforeEach
  void openDrums() {
    go(Stage.DRUMS);
    focus("#bead-sheet");
    keys(KeyCode.HOME);
    waitFor(() -> lookup("#bead-sheet").query().isFocused());
  }

  private StepLane kick() {
    Pattern.Drums groove =
        (Pattern.Drums) song().part("drums").orElseThrow().variants().get(0).pattern();
    return groove.lane(DrumVoice.KICK).orElseThrow();
  }

  private Hit first() {
    return kick().at(0).orElseThrow();
  }

  private void keys(KeyCode... codes) {
    for (KeyCode code : codes) {
      push(code);
      settle();
    }
  }

  @Test
  void passesFlamAndSwellAreTurnedOnByKeysAndTold() {
    keys(KeyCode.C, KeyCode.C, KeyCode.F, KeyCode.R, KeyCode.V);
    assertThat(first().when().every()).isEqualTo(4);
    assertThat(first().flam()).isEqualTo(30);
    assertThat(first().strokes()).isEqualTo(2);
    assertThat(first().ramp()).isEqualTo(-40);
    assertHas(words("#hit-told"), "2 strokes, falling", "flam 30 ticks before", "on pass 4 of 4");
    assertThat(lookup("#bead-kick-1").query().getStyleClass()).contains("some");
    assertThat(lookup("#bead-kick-1").query().getAccessibleText()).contains("on pass 4 of 4");
    push(KeyCode.SHORTCUT, KeyCode.Z);
    settle();
    assertThat(first().ramp()).isEqualTo(40);
    keys(KeyCode.Q, KeyCode.Q);
    assertThat(first().when().percent()).isEqualTo(50);
    assertHas(words("#hit-told"), "on pass 4 of 4 by 50 %");
  }

  @Test
  void aTypedLaneKeepsFineThingsAndIsPointedAtWhenWrong() {
    keys(KeyCode.PERIOD);
    String text = kick().toString();
    type("#lane-line", text + "x/4");
    assertThat(first().nudge()).isEqualTo(5);
    assertThat(kick().at(kick().length() - 1).orElseThrow().when().every()).isEqualTo(4);
    type("#lane-line", "x..q");
    assertHas(words("#lane-line-problem"), "column 4", "\"q\"");
  }

  @Test
  void aLaneIsTurnedReversedDoubledHalvedFilledAndSpread() {
    type("#lane-line", "x..x..x.");
    press("#lane-later");
    assertThat(kick()).hasToString(".x..x..x");
    press("#lane-reverse");
    assertThat(kick()).hasToString("x..x..x.");
    press("#lane-double");
    assertThat(kick()).hasToString("x..x..x.x..x..x.");
    press("#lane-halve");
    type("#lane-spread", "5");
    assertThat(kick()).hasToString("x.x.xx.x");
    type("#lane-every", "3");
    assertThat(kick()).hasToString("x..x..x.");
    type("#lane-every", "none");
    assertHas(words("#lane-every-problem"), "whole number");
  }

  @Test
  void oneLaneIsDraftedAnewAndTheOthersStay() {
    var before = song().part("drums").orElseThrow();
    String kick = kick().toString();
    press("#lane-take");
    assertThat(kick()).isNotEqualTo(StepLane.parse(kick));
    Pattern.Drums now =
        (Pattern.Drums) song().part("drums").orElseThrow().variants().get(0).pattern();
    Pattern.Drums old = (Pattern.Drums) before.variants().get(0).pattern();
    assertThat(now.lanes().subList(1, now.lanes().size()))
        .isEqualTo(old.lanes().subList(1, old.lanes().size()));
  }

  @Test
  @SuppressWarnings("unchecked")
  void aGrooveGrowsToEightBarsByAPlan() {
    interact(
        () ->
            ((ComboBox<EightBars.Plan>) lookup("#grow-groove").query())
                .setValue(EightBars.Plan.SECOND_AND_LAST));
    settle();
    var grown = song().part("drums").orElseThrow().find("A in eight, A B A C").orElseThrow();
    assertThat(((Pattern.Drums) grown.pattern()).bars()).isEqualTo(8);
    assertThat(shown("#bead-kick-65")).isTrue();
    press("#undo");
    assertThat(song().part("drums").orElseThrow().find("A in eight, A B A C")).isEmpty();
  }

  /** Arithmetic: lanes of 5 and 32 steps meet after 160 steps, ten bars. */
  @Test
  void aLaneOfItsOwnLengthSaysWhenTheLanesMeet() {
    assertThat(words("#lanes-meet")).isEmpty();
    type("#lane-line", "x.o..");
    assertHas(words("#lanes-meet"), "after 10 bars", "every 2 bars");
  }

  @Test
  void aWholeLaneIsLateAndItsHitsDiffer() {
    double before = middle("#bead-kick-1").getX();
    type("#lane-late", "60");
    assertThat(middle("#bead-kick-1").getX()).isGreaterThan(before + 3);
    assertHas(words("#hit-told"), "+65 ticks off the grid");
    type("#lane-vary", "20");
    type("#lane-wander", "10");
    press("#lane-anew");
    var feel =
        ((Pattern.Drums) song().part("drums").orElseThrow().variants().get(0).pattern())
            .feel(DrumVoice.KICK);
    assertThat(feel).isEqualTo(new LaneFeel(60, 20, 10, 2));
    type("#lane-vary", "99");
    assertHas(words("#lane-vary-problem"), "0 to 40");
  }
}
