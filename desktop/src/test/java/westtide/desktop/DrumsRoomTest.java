package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.compose.groove.EightBars;
import westtide.compose.groove.FillFamily;
import westtide.file.midi.MidiFile;
import westtide.rhythm.Hit;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.Restart;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.form.Section;
import westtide.song.id.PartId;
import westtide.song.pattern.Pattern;

/** Flams, swells, passes and the shapes of lanes, by keyboard and by mouse. */
class DrumsRoomTest extends DemoDrumsTest {
  private StepLane kick() {
    return groove().lane(DrumVoice.KICK).orElseThrow();
  }

  private Hit first() {
    return kick().at(0).orElseThrow();
  }

  private double width(String query) {
    return lookup(query).query().getLayoutBounds().getWidth();
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
    assertThat(first().roll().ramp()).isEqualTo(-40);
    assertHas(
        words("#hit-summary"),
        "roll of 2, falling velocity",
        "flam 30 ticks before",
        "every 4th repeat");
    assertThat(lookup("#bead-kick-1").query().getStyleClass()).contains("some");
    assertThat(lookup("#bead-kick-1").query().getAccessibleText()).contains("every 4th repeat");
    push(KeyCode.CONTROL, KeyCode.Z);
    settle();
    assertThat(first().roll().ramp()).isEqualTo(40);
    keys(KeyCode.Q, KeyCode.Q);
    assertThat(first().when().percent()).isEqualTo(50);
    assertHas(words("#hit-summary"), "every 4th repeat, chance 50 %");
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

  /** What was refused belongs to its lane and groove, and is not carried to another. */
  @Test
  void whatWasRefusedGoesWhenAnotherGrooveIsChosen() {
    type("#lane-line", "x..q");
    assertHas(words("#lane-line-problem"), "column 4");
    press("#groove-thin");
    assertThat(shown("#lane-line-problem")).isFalse();
    assertThat(lookup("#lane-line").queryTextInputControl().getText()).doesNotContain("q");
    type("#groove-bars", "abc");
    assertThat(shown("#groove-bars-problem")).isTrue();
    press("#groove-a");
    assertThat(shown("#groove-bars-problem")).isFalse();
    assertThat(lookup("#groove-bars").queryTextInputControl().getText()).isEqualTo("2");
  }

  @Test
  void aLaneIsTurnedReversedDoubledHalvedFilledAndSpread() {
    run("drums-lane");
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
    type("#lane-spread", "7/16");
    assertThat(kick().length()).isEqualTo(16);
    assertThat(kick().hits()).hasSize(7);
    type("#lane-spread", "9/8");
    assertHas(words("#lane-spread-problem"), "0 to 8 hits fit into 8 steps");
    type("#lane-every", "none");
    assertHas(words("#lane-every-problem"), "whole number");
  }

  @Test
  void oneLaneIsDraftedAnewAndTheOthersStay() {
    run("drums-groove");
    Pattern.Drums old = groove();
    press("#lane-take");
    assertThat(kick()).isNotEqualTo(old.lane(DrumVoice.KICK).orElseThrow());
    assertThat(groove().lanes().subList(1, groove().lanes().size()))
        .isEqualTo(old.lanes().subList(1, old.lanes().size()));
  }

  @Test
  void aGrooveGrowsToEightBarsAndFollowsItsParent() {
    run("drums-eight-bars");
    choose("#grow-plan", EightBars.Plan.SECOND_AND_LAST);
    choose("#fill-8", FillFamily.TOMS);
    press("#grow-crash");
    press("#grow-groove");
    Part part = song().part(PartId.of("drums")).orElseThrow();
    Pattern.Drums grown = part.groove("A in eight, A B A C", Meter.COMMON).orElseThrow();
    assertThat(grown.bars()).isEqualTo(8);
    assertThat(grown.lane(DrumVoice.TOM).orElseThrow().hits()).hasSize(6);
    assertThat(grown.lane(DrumVoice.CRASH).orElseThrow().at(0)).isPresent();
    press("#look-all-bars");
    assertThat(shown("#bead-kick-65")).isTrue();
    assertHas(words("#groove-differs"), "follows A but for", "more");
    assertThat(lookup(".differs").queryAll()).isNotEmpty();
    press("#groove-follow");
    assertThat(words("#groove-differs")).isEqualTo("follows A in everything");
    assertThat(lookup(".differs").queryAll()).isEmpty();
    press("#groove-alone");
    assertHas(words("#groove-differs"), "not linked");
    press("#undo");
    press("#undo");
    press("#undo");
    assertThat(song().part(PartId.of("drums")).orElseThrow().find("A in eight, A B A C")).isEmpty();
  }

  /** Arithmetic: lanes of 5 and 32 steps meet after 160 steps, ten bars. */
  @Test
  void aLaneOfItsOwnLengthSaysWhenTheLanesMeet() {
    run("drums-cycle");
    assertHas(words("#lanes-meet"), "Every lane fits");
    type("#lane-line", "x.o..");
    assertHas(words("#lanes-meet"), "after 10 bars", "every 2 bars");
    choose("#restart", "never in a section");
    assertHas(words("#lanes-meet"), "after 10 bars", "nothing sends them back");
    assertThat(groove().restart()).isEqualTo(Restart.NEVER);
    choose("#restart", "every so many steps");
    type("#restart-steps", "20");
    assertThat(groove().restart()).isEqualTo(new Restart(20));
    assertThat(shown("#restart-20")).isTrue();
    assertHas(words("#lanes-meet"), "every 1.25 bars");
  }

  @Test
  void aWholeLaneIsLateAndItsHitsDiffer() {
    run("drums-lane");
    double before = middle("#bead-kick-1").getX();
    type("#lane-late", "60");
    assertThat(middle("#bead-kick-1").getX()).isGreaterThan(before + 3);
    assertHas(words("#hit-summary"), "+65 ticks off the grid");
    type("#lane-vary", "20");
    type("#lane-wander", "10");
    press("#lane-anew");
    LaneFeel feel = groove().find(DrumVoice.KICK.lane()).orElseThrow().feel();
    assertThat(feel).isEqualTo(new LaneFeel(60, 20, 10, PartId.of("drums").seed() + 1));
    type("#lane-vary", "99");
    assertHas(words("#lane-vary-problem"), "0 to 40");
  }

  /** A groove is heard in a section whatever the form has there, and the song stays as it is. */
  @Test
  void aGrooveIsHeardBeforeTheFormHasIt() {
    run("drums-groove");
    press("#groove-copy");
    Song before = song();
    press("#groove-hear");
    waitFor(() -> shell.play().gauges().playing());
    assertThat(section(shell.play().heard()).cell(PartId.of("drums"), 0).pattern()).isEqualTo("B");
    assertThat(song()).isSameAs(before);
    waitFor(() -> lookup("#bead-sheet .here").query().isVisible());
    focus("#bead-sheet");
    keys(KeyCode.DELETE);
    assertThat(
            shell.play().heard().part(PartId.of("drums")).orElseThrow().groove("B", Meter.COMMON))
        .isEqualTo(song().part(PartId.of("drums")).orElseThrow().groove("B", Meter.COMMON));
    keys(KeyCode.H);
    waitFor(() -> !shell.play().gauges().playing());
    assertThat(shell.play().heard()).isSameAs(song());
    assertThat(shell.play().loop()).isEmpty();
  }

  private Section section(Song song) {
    return song.form().sections().get(shell.open().section());
  }

  @Test
  void playingAnythingElseEndsWhatIsTriedOut() {
    press("#groove-hear");
    waitFor(() -> shell.play().gauges().playing());
    assertThat(words("#groove-hear")).isEqualTo("stop");
    interact(() -> shell.play().playSection());
    assertThat(shell.play().heard()).isSameAs(song());
    settle();
    assertThat(words("#groove-hear")).isEqualTo("▷ play this groove");
  }

  @Test
  void aHitSaysWhatItDoesAndArcsShowWhatItLeansOn() {
    assertHas(
        words("#hit-why"), "Kick on beat 1, where the bar opens", "trap figures have one here");
    assertThat(lookup("#pull-20").query().getAccessibleText())
        .isEqualTo("what stands at 2.1.4 leans on 2.2.1 by 2");
    keys(KeyCode.RIGHT);
    assertHas(words("#hit-why"), "drag over empty steps writes", "a double click one");
  }

  /** Arithmetic: at 146 BPM a tick lasts 0.428 ms, so 10 ms are 23 ticks and 120 ticks 51 ms. */
  @Test
  void latenessIsAlsoTypedInMilliseconds() {
    run("drums-hit");
    type("#hit-late", "10 ms");
    assertThat(first().nudge()).isEqualTo(23);
    type("#hit-late", "52 ms");
    assertHas(words("#hit-late-problem"), "-51 to 51 ms, but was 52");
    assertThat(first().nudge()).isEqualTo(23);
    run("drums-lane");
    type("#lane-late", "-10 ms");
    assertThat(groove().find(DrumVoice.KICK.lane()).orElseThrow().feel().nudge()).isEqualTo(-23);
  }

  @Test
  void feelIsTakenFromAMidiFile() throws IOException {
    Song late =
        new DrumEdits(PartId.of("drums"), "A")
            .feel("late", DrumVoice.KICK.lane(), feel -> feel.withNudge(30))
            .apply(song());
    Path file = folder.resolve("late.mid");
    MidiFile.writePattern(late, PartId.of("drums"), "A", file);
    run("drums-groove");
    press("#feel-import");
    type("#file-path", file.toString());
    waitFor(() -> first().nudge() != 0);
    assertThat(first().nudge()).isBetween(10, 31);
    assertThat(song().part(PartId.of("drums")).orElseThrow().find("late")).isEmpty();
  }

  @Test
  void aGrooveIsAsLongAsItIsTyped() {
    run("drums-groove");
    type("#groove-bars", "4");
    assertThat(groove().bars()).isEqualTo(4);
    assertThat(kick().hits()).hasSize(12);
    focus("#bead-sheet");
    keys(KeyCode.DOWN, KeyCode.DOWN, KeyCode.DOWN);
    String typed = lookup("#lane-line").queryTextInputControl().getText();
    assertThat(typed).startsWith("x.x.x").hasSizeGreaterThan(66);
    assertThat(width("#lane-line .text")).isLessThan(width("#lane-line") - 20);
    keys(KeyCode.UP, KeyCode.UP, KeyCode.UP);
    assertThat(lookup("#look-two-bars").query().isVisible()).isTrue();
    press("#look-two-bars");
    assertThat(lookup("#bead-kick-1").tryQuery()).isPresent();
    assertThat(lookup("#bead-kick-33").tryQuery()).isEmpty();
    type("#groove-bars", "17");
    assertHas(words("#groove-bars-problem"), "1 to 16 bars, but was 17");
    run("drums-hit");
    focus("#bead-sheet");
    keys(KeyCode.COMMA, KeyCode.COMMA);
    assertThat(first().nudge()).isEqualTo(-10);
    run("drums-lane");
    type("#lane-tight", "50");
    assertThat(first().nudge()).isEqualTo(-5);
  }

  @Test
  void aGrooveIsCalledByAnotherName() {
    run("drums-groove");
    type("#groove-name", "floor");
    assertThat(song().part(PartId.of("drums")).orElseThrow().patterns().get(0).name())
        .isEqualTo("floor");
    assertThat(shown("#groove-floor")).isTrue();
    type("#groove-name", "fill");
    assertHas(
        words("#groove-name-problem"), "a name that no other of its part has, but was \"fill\"");
  }
}
