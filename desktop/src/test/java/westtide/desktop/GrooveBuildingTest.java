package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.compose.groove.FillFamily;
import westtide.file.midi.MidiGroove;
import westtide.review.finding.Stage;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.rhythm.Ticks;
import westtide.rhythm.When;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.PanSweep;
import westtide.song.edit.drum.GrooveEdits;
import westtide.song.id.PartId;
import westtide.song.pattern.Pattern;

/** A groove built from nothing, by mouse, keys, text and playing, heard and written to a file. */
class GrooveBuildingTest extends DemoDrumsTest {
  private DrumLane lane(DrumVoice voice) {
    return groove().find(voice.lane()).orElseThrow();
  }

  /** Lanes that have a hit. */
  private List<LaneId> heard() {
    return groove().lanes().stream()
        .filter(lane -> !lane.lane().hits().isEmpty())
        .map(DrumLane::id)
        .toList();
  }

  private void walkTo(DrumVoice voice, int column) {
    focus("#bead-sheet");
    for (int i = 0; i < groove().lanes().size(); i++) {
      push(KeyCode.UP);
    }
    for (int i = 0; i < groove().lanes().indexOf(lane(voice)); i++) {
      push(KeyCode.DOWN);
    }
    push(KeyCode.HOME);
    for (int i = 0; i < column; i++) {
      push(KeyCode.RIGHT);
    }
    settle();
  }

  private Part part() {
    return song().part(PartId.of("drums")).orElseThrow();
  }

  @Test
  void twoBarsAreBuiltHeardAndExported() throws IOException {
    go(Stage.BRIEF);
    type("#swing", "58");
    go(Stage.DRUMS);
    run("drums-groove");
    press("#groove-begin");
    assertThat(groove().lanes()).hasSize(1);
    assertThat(groove().bars()).isEqualTo(2);
    press("#groove-next", "#groove-next", "#groove-next", "#groove-next");
    assertThat(groove().lanes()).hasSizeBetween(4, 5);
    StepLane opens = StepLane.parse("......x.");
    StepLane closed = StepLane.parse("xxxxxxxx");
    walkTo(DrumVoice.OPEN_HAT, 0);
    type("#lane-line", opens.toString());
    walkTo(DrumVoice.CLOSED_HAT, 0);
    type("#lane-line", closed.toString());
    assertThat(lookup("#bead-closed_hat-7").query().getStyleClass()).contains("choked");
    walkTo(DrumVoice.CLOSED_HAT, 3);
    push(KeyCode.R);
    push(KeyCode.R);
    settle();
    assertThat(lane(DrumVoice.CLOSED_HAT).lane().at(3).orElseThrow().strokes()).isEqualTo(3);
    choose("#add-voice", DrumVoice.RIM);
    type("#lane-line", "x.o..");
    assertThat(lane(DrumVoice.RIM).lane().length()).isEqualTo(5);
    walkTo(DrumVoice.KICK, 20);
    run("drums-eight-bars");
    choose("#fill-here", FillFamily.TOMS);
    assertThat(lane(DrumVoice.TOM).lane().hits()).hasSize(6);
    interact(() -> shell.open().select(1));
    interact(() -> shell.play().playSection());
    waitFor(() -> shell.play().gauges().peak(PartId.of("drums")) > 0.02);
    interact(() -> shell.play().stop());
    press("#groove-a");
    run("drums-groove");
    press("#groove-export");
    Path file = folder.resolve("own.mid");
    type("#file-path", file.toString());
    waitFor(() -> Files.exists(file));
    Pattern.Drums read = MidiGroove.read(file, Meter.COMMON, Swing.of(58)).groove();
    assertThat(read.bars()).isEqualTo(2);
    assertThat(read.lanes()).extracting(DrumLane::id).containsExactlyInAnyOrderElementsOf(heard());
    StepLane hats = read.lane(DrumVoice.CLOSED_HAT).orElseThrow();
    assertThat(hats.at(3).orElseThrow().strokes()).isEqualTo(3);
    assertThat(hats.at(6)).isEmpty();
    press("#groove-import");
    type("#file-path", file.toString());
    waitFor(() -> shown("#groove-own"));
    assertThat(song().part(PartId.of("drums")).orElseThrow().find("own")).isPresent();
  }

  @Test
  void hitsArePaintedAndMovedInTimeByDragging() {
    Point2D first = middle("#bead-closed_hat-1");
    double step = (middle("#bead-closed_hat-3").getX() - first.getX()) / 2;
    double y = middle("#bead-snare-32").getY();
    Point2D from = new Point2D(first.getX() + step, y);
    drag(from, new Point2D(first.getX() + 4 * step, y));
    settle();
    StepLane snare = lane(DrumVoice.SNARE).lane();
    assertThat(snare.hits().stream().map(Hit::step)).contains(1, 2, 3, 4);
    press("#undo");
    assertThat(lane(DrumVoice.SNARE).lane().hits()).extracting(Hit::step).containsExactly(31);
    Point2D kick = middle("#bead-kick-7");
    drag(kick, kick.add(-7, 0));
    settle();
    assertThat(lane(DrumVoice.KICK).lane().at(6).orElseThrow().nudge()).isBetween(-110, -50);
    assertThat(middle("#bead-kick-7").getX()).isLessThan(kick.getX() - 4);
    press("#undo");
    drag(kick, kick.add(2 * step, 0));
    settle();
    assertThat(lane(DrumVoice.KICK).lane().at(6)).isEmpty();
    assertThat(lane(DrumVoice.KICK).lane().at(8)).isPresent();
    push(KeyCode.SHIFT, KeyCode.LEFT);
    settle();
    assertThat(lane(DrumVoice.KICK).lane().at(7)).isPresent();
  }

  @Test
  void everythingAboutAHitIsANumber() {
    walkTo(DrumVoice.CLOSED_HAT, 0);
    run("drums-hit");
    type("#hit-velocity", "77");
    type("#hit-late", "-15");
    type("#hit-pitch", "4");
    press("#hit-strokes-4");
    type("#hit-over", "4");
    type("#hit-rise", "7");
    type("#hit-swell", "-30");
    type("#hit-chance", "60");
    choose("#hit-turn", When.Turn.LAST);
    Hit hit = lane(DrumVoice.CLOSED_HAT).lane().at(0).orElseThrow();
    assertThat(hit.velocity()).isEqualTo(77);
    assertThat(hit.nudge()).isEqualTo(-15);
    assertThat(hit.pitch(0)).isEqualTo(4);
    assertThat(hit.pitch(3)).isEqualTo(11);
    assertThat(hit.offset(1, 240)).isEqualTo(225);
    assertThat(hit.roll().ramp()).isEqualTo(-30);
    assertThat(hit.when()).isEqualTo(When.at(When.Turn.LAST).withPercent(60));
    assertHas(
        words("#hit-summary"),
        "+4 semitones",
        "roll of 4 over 4 steps, falling velocity, pitch up 7",
        "60 %");
    type("#hit-velocity", "200");
    assertHas(words("#hit-velocity-problem"), "1 to 127");
    focus("#bead-sheet");
    push(KeyCode.Z);
    settle();
    push(KeyCode.CLOSE_BRACKET);
    settle();
    assertThat(lane(DrumVoice.CLOSED_HAT).lane().at(0).orElseThrow().pitch()).isEqualTo(5);
  }

  @Test
  void aLaneHasItsOwnGridSwingAccentsAndSound() {
    walkTo(DrumVoice.CLOSED_HAT, 0);
    run("drums-lane");
    choose("#lane-swings", "own swing");
    type("#lane-swing", "64");
    assertThat(lane(DrumVoice.CLOSED_HAT).swing()).contains(Swing.of(64));
    type("#lane-accents", "X.oxo");
    assertThat(lane(DrumVoice.CLOSED_HAT).accents()).contains(StepLane.parse("X.oxo"));
    assertThat(lookup("#bead-closed_hat-7").query().getStyleClass()).contains("choked");
    choose("#lane-grid", StepGrid.TRIPLETS);
    assertThat(lane(DrumVoice.CLOSED_HAT).grid()).isEqualTo(StepGrid.TRIPLETS);
    choose("#lane-copy-to", DrumVoice.PERCUSSION.lane());
    assertThat(lane(DrumVoice.PERCUSSION).grid()).isEqualTo(StepGrid.TRIPLETS);
    run("drums-sound");
    choose("#lane-instrument", "shaker");
    type("#lane-tune", "-250");
    type("#lane-choke", "3");
    type("#lane-note", "44");
    type("#lane-reverb", "30");
    press("#lane-effects-fold");
    choose("#copy-lane", DrumVoice.CLAP.lane().toString());
    assertThat(part().sound(DrumVoice.CLAP.lane()).reverb()).isEqualTo(30);
    assertThat(part().sound(DrumVoice.CLAP.lane()).cents()).isZero();
    var sound = part().sound(DrumVoice.CLOSED_HAT.lane());
    assertThat(sound.instrument()).isEqualTo("shaker");
    assertThat(sound.cents()).isEqualTo(-250);
    assertThat(sound.choke()).isEqualTo(3);
    assertThat(sound.note()).isEqualTo(44);
    press("#claps-apart");
    assertThat(groove().find(new LaneId(DrumVoice.CLAP, 2))).isPresent();
    type("#lane-choke", "9");
    assertHas(words("#lane-choke-problem"), "0 to 8");
  }

  @Test
  void aLaneIsSweptReversedAndBorrowsARhythmInOneGroove() {
    String other = "own";
    interact(() -> shell.open().apply(new GrooveEdits(part().id(), "A").blank(other)));
    walkTo(DrumVoice.CLOSED_HAT, 0);
    LaneId hat = DrumVoice.CLOSED_HAT.lane();
    run("drums-sound");
    type("#lane-pan", "-40");
    type("#lane-pan-to", "70");
    assertThat(part().sound(hat).sweep()).isEqualTo(new PanSweep(70, 16));
    type("#lane-pan-steps", "4");
    assertThat(part().sound(hat).panAt(4 * Ticks.PER_STEP)).isEqualTo(70);
    press("#lane-reversed");
    assertThat(part().sound(hat).reversed()).isTrue();
    type("#lane-low-pass-all", "1200");
    assertThat(part().mix().lowPass()).isEqualTo(1200);
    Part bass =
        song().parts().stream().filter(p -> p.role() != Role.DRUMS).findFirst().orElseThrow();
    run("drums-lane");
    choose("#lane-rhythm-of", "rhythm of " + bass.name());
    assertThat(part().rhythmOf(hat, "A")).contains(bass.id());
    assertThat(part().rhythmOf(hat, other)).isEmpty();
    choose("#lane-reach", "set in all grooves");
    choose("#lane-rhythm-of", "its own rhythm");
    choose("#lane-rhythm-of", "rhythm of " + bass.name());
    assertThat(part().rhythmOf(hat, other)).contains(bass.id());
    interact(() -> shell.open().begin(demo(1)));
    settle();
    assertThat(lookup("#lane-reach").tryQuery()).as("the first page is in front again").isEmpty();
  }

  @Test
  void aGrooveIsPlayedInByKeysAfterACountIn() {
    run("drums-play-in");
    StepLane before = lane(DrumVoice.CLAP).lane();
    press("#pad-record");
    assertHas(words("#pad-summary"), "counting in");
    waitFor(() -> words("#pad-summary").startsWith("recording"));
    push(KeyCode.DIGIT2);
    push(KeyCode.DIGIT2);
    waitFor(() -> words("#pad-summary").contains("2 hits"));
    press("#pad-record");
    assertHas(words("#pad-summary"), "2 hits kept", "100 % of the way to sixteenths");
    StepLane now = lane(DrumVoice.CLAP).lane();
    assertThat(now).isNotEqualTo(before);
    assertThat(now.hits()).allMatch(hit -> hit.nudge() == 0);
    assertThat(now.hits().stream().map(Hit::step))
        .as("what was there stays, or is played anew")
        .containsAll(before.hits().stream().map(Hit::step).toList());
    press("#undo");
    assertThat(lane(DrumVoice.CLAP).lane()).isEqualTo(before);
  }

  /** The stand-in for pads plays the chosen lane; on the grid it is that lane again. */
  @Test
  void theSimulatedPlayerPlaysALaneAndQuantisingFindsItAgain() {
    walkTo(DrumVoice.KICK, 0);
    run("drums-play-in");
    choose("#pad-input", "simulated player, this lane");
    StepLane before = lane(DrumVoice.KICK).lane();
    press("#pad-keep");
    press("#pad-record");
    waitFor(() -> words("#pad-summary").contains(before.hits().size() + " hits"));
    press("#pad-record");
    assertThat(lane(DrumVoice.KICK).lane().hits().stream().map(Hit::step).toList())
        .isEqualTo(before.hits().stream().map(Hit::step).toList());
    assertThat(lane(DrumVoice.KICK).lane().hits()).allMatch(hit -> hit.nudge() == 0);
    type("#pad-strength", "0");
    press("#pad-again");
    assertThat(lane(DrumVoice.KICK).lane().hits()).anyMatch(hit -> hit.nudge() != 0);
    press("#undo");
    assertThat(lane(DrumVoice.KICK).lane().hits()).allMatch(hit -> hit.nudge() == 0);
    press("#undo");
    assertThat(lane(DrumVoice.KICK).lane()).isEqualTo(before);
    press("#groove-thin");
    assertThat(lookup("#pad-again").query().isDisabled())
        .as("a take belongs to the groove it was played into")
        .isTrue();
  }
}
