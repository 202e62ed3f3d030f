package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.shape.Line;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import westtide.desktop.frame.TideChart;
import westtide.desktop.open.Preferences;
import westtide.review.finding.Stage;
import westtide.rhythm.Tempo;
import westtide.song.Song;
import westtide.song.edit.BriefEdits;
import westtide.song.id.PartId;
import westtide.song.mix.Duck;
import westtide.song.mix.Patch;

/** Playing, levels and bounces, as a person does them. */
@Timeout(120)
class PlayTest extends WindowTest {
  private static final int BAR = 3840;

  @Override
  void begin() {
    shell.begin(demo(0));
  }

  private double tick() {
    return shell.play().gauges().tick();
  }

  private boolean playing() {
    return shell.play().gauges().playing();
  }

  private Line head(String sheet) {
    return (Line) lookup(sheet + " .here").query();
  }

  @Test
  void spacePlaysAndThePlayHeadsFollowTheScore() {
    go(Stage.DRUMS);
    interact(() -> shell.open().select(1));
    push(KeyCode.P);
    waitFor(this::playing);
    waitFor(() -> tick() > 8.5 * BAR);
    waitFor(() -> head("#bead-sheet").isVisible());
    interact(
        () -> {
          double chart = head("#tide-chart").getTranslateX();
          double width = lookup("#tide-chart").queryAs(TideChart.class).getWidth();
          double expected = 22 + tick() / song().ticks() * (width - 44);
          assertThat(chart).isCloseTo(expected, within(6.0));
        });
    waitFor(() -> !lookup(".bead:lit").queryAll().isEmpty());
    waitFor(() -> shell.play().gauges().peak() > 0.05);
    assertThat(lookup("#play-place").queryText().getText()).matches("(9|1\\d)\\.[1-4]\\.[1-4]");
    push(KeyCode.SPACE);
    waitFor(() -> !playing());
    double stopped = tick();
    push(KeyCode.SHIFT, KeyCode.SPACE);
    waitFor(this::playing);
    assertThat(tick()).isGreaterThanOrEqualTo(stopped - 1);
    push(KeyCode.SPACE);
  }

  @Test
  void spacePlaysThePatternInFrontRoundAndRoundAndShiftTheSong() {
    for (Stage room : List.of(Stage.DRUMS, Stage.LOW_END, Stage.LINES, Stage.CHORDS)) {
      go(room);
      push(KeyCode.SPACE);
      waitFor(this::playing);
      var loop = shell.play().loop().orElseThrow();
      assertThat(shell.play().trying()).as(room.toString()).isTrue();
      assertThat((loop.to() - loop.from()) / BAR).as(room + " in bars").isBetween(1, 16);
      waitFor(() -> tick() >= loop.from() && tick() < loop.to());
      push(KeyCode.SPACE);
      waitFor(() -> !playing());
      assertThat(shell.play().loop()).isEmpty();
      push(KeyCode.SHIFT, KeyCode.SPACE);
      waitFor(this::playing);
      assertThat(shell.play().trying()).as("the song, from " + room).isFalse();
      push(KeyCode.SPACE);
      waitFor(() -> !playing());
    }
  }

  @Test
  void spaceInATextFieldIsASpace() {
    go(Stage.CHORDS);
    clickOn("#chord-line");
    push(KeyCode.SPACE);
    settle();
    assertThat(playing()).isFalse();
  }

  /** A button pressed by the mouse is not pressed again by Space; one reached by keys is. */
  @Test
  void spacePlaysAfterAClickAndPressesWhatKeysReached() {
    go(Stage.DRUMS);
    run("drums-lane");
    press("#lane-later");
    Song rotated = song();
    push(KeyCode.SPACE);
    waitFor(this::playing);
    assertThat(song()).isEqualTo(rotated);
    push(KeyCode.SPACE);
    waitFor(() -> !playing());
    push(KeyCode.TAB);
    push(KeyCode.SHIFT, KeyCode.TAB);
    settle();
    push(KeyCode.SPACE);
    settle();
    assertThat(song()).as("reached by Tab, it is pressed").isNotEqualTo(rotated);
    assertThat(playing()).isFalse();
  }

  @Test
  void aSectionIsLoopedAndStaysLoopedWhenItGrows() {
    interact(() -> shell.open().select(3));
    push(KeyCode.L);
    settle();
    int from = song().form().startBar(3) * BAR;
    assertThat(shell.play().loop().orElseThrow().from()).isEqualTo(from);
    assertThat(shown("#tide-loop")).isTrue();
    push(KeyCode.SPACE);
    waitFor(this::playing);
    waitFor(() -> tick() >= from);
    go(Stage.FORM);
    press("#form-page-section", "#section-longer");
    assertThat(shell.play().loop().orElseThrow().to()).isEqualTo(from + 12 * BAR);
    push(KeyCode.L);
    settle();
    assertThat(shell.play().loop()).isEmpty();
    push(KeyCode.SPACE);
  }

  @Test
  void theTideChartSeeksAndADragLoops() {
    Node chart = lookup("#tide-chart").query();
    double bar = (1280 - 44) / (double) song().form().bars();
    clickOn(at(chart, 22 + 30.5 * bar, 60));
    waitFor(() -> Math.abs(tick() - 30 * BAR) < 1);
    assertThat(shell.open().section()).isEqualTo(2);
    drag(at(chart, 22 + 8.5 * bar, 60), at(chart, 22 + 11.5 * bar, 60));
    settle();
    assertThat(shell.play().loop().orElseThrow().from()).isEqualTo(8 * BAR);
    assertThat(shell.play().loop().orElseThrow().to()).isEqualTo(12 * BAR);
    push(KeyCode.SPACE);
    waitFor(() -> playing() && tick() >= 8 * BAR && tick() < 12 * BAR);
    push(KeyCode.SPACE);
  }

  private javafx.geometry.Point2D at(Node node, double x, double y) {
    return node.localToScreen(x, y);
  }

  @Test
  void aNewTempoWhilePlayingKeepsThePlace() {
    push(KeyCode.SPACE);
    waitFor(() -> tick() > BAR);
    double before = tick();
    interact(() -> shell.open().apply(BriefEdits.tempo(Tempo.of(60))));
    waitFor(() -> tick() > before + 50);
    assertThat(tick()).isLessThan(before + 2 * BAR);
    push(KeyCode.SPACE);
  }

  @Test
  void placingAHitIsHeard() {
    go(Stage.DRUMS);
    assertThat(shell.play().gauges().peak(PartId.of("drums"))).isZero();
    focus("#bead-sheet");
    push(KeyCode.RIGHT);
    push(KeyCode.ENTER);
    waitFor(() -> shell.play().gauges().peak(PartId.of("drums")) > 0.01);
    assertThat(playing()).isFalse();
  }

  @Test
  void choosingAChordIsHeard() {
    go(Stage.CHORDS);
    focus("#voice-ladder");
    push(KeyCode.RIGHT);
    waitFor(() -> shell.play().gauges().peak(PartId.of("keys")) > 0.01);
  }

  @Test
  void lanesAreMutedAndHeardAloneByKey() {
    go(Stage.DRUMS);
    focus("#bead-sheet");
    push(KeyCode.M);
    settle();
    assertThat(shell.play().muted("drums/KICK")).isTrue();
    push(KeyCode.M);
    push(KeyCode.DOWN);
    push(KeyCode.A);
    settle();
    assertThat(shell.play().muted("drums/KICK")).isFalse();
    assertThat(shell.play().alone("drums/CLAP")).isTrue();
  }

  @Test
  void aPartIsMovedOnItsPlumbLineByMouseAndByKey() {
    go(Stage.LEVELS);
    settle();
    int before = song().part(PartId.of("lead")).orElseThrow().mix().level();
    javafx.geometry.Point2D bob = middle("#bob-lead");
    drag(bob, bob.add(24, 30));
    settle();
    assertThat(song().part(PartId.of("lead")).orElseThrow().mix().level()).isLessThan(before - 20);
    assertThat(song().part(PartId.of("lead")).orElseThrow().mix().pan()).isGreaterThan(30);
    press("#undo");
    assertThat(song().part(PartId.of("lead")).orElseThrow().mix().level()).isEqualTo(before);
    focus("#plumb-sheet");
    push(KeyCode.UP);
    push(KeyCode.SHIFT, KeyCode.LEFT);
    settle();
    assertThat(song().part(PartId.of("lead")).orElseThrow().mix().level()).isEqualTo(before + 5);
    assertThat(song().part(PartId.of("lead")).orElseThrow().mix().pan()).isEqualTo(20);
  }

  @Test
  void thePlaceInTheMixIsTyped() {
    go(Stage.LEVELS);
    press("#levels-page-numbers");
    press("#levels-exact");
    type("#mix-level", "-14.5");
    type("#mix-low-cut", "210");
    type("#mix-reverb", "40");
    press("#levels-page-band");
    choose("#duck-trigger", Duck.Trigger.KICK);
    press("#levels-page-numbers");
    focus("#mix-duck-below");
    write("120");
    push(KeyCode.ENTER);
    settle();
    press("#levels-page-band", "#delay-time-1-4");
    var mix = song().part(PartId.of("keys")).orElseThrow().mix();
    assertThat(mix.level()).isEqualTo(-145);
    assertThat(mix.lowCut()).isEqualTo(210);
    assertThat(mix.reverb()).isEqualTo(40);
    assertThat(mix.duck().trigger()).isEqualTo(Duck.Trigger.KICK);
    assertThat(mix.duck().below()).isEqualTo(120);
    assertThat(mix.delayTime()).hasToString("1/4");
    press("#levels-page-numbers");
    type("#mix-level", "loud");
    assertHas(words("#mix-level-problem"), "from -60.0 to 6.0");
    assertThat(song().part(PartId.of("keys")).orElseThrow().mix().level()).isEqualTo(-145);
  }

  @Test
  void theNumbersOfAPartArePulledAndNudged() {
    go(Stage.LEVELS);
    int before = song().part(PartId.of("keys")).orElseThrow().mix().reverb();
    Node scale = lookup("#front-reverb-scale").query();
    Bounds cell = scale.localToScreen(scale.getBoundsInLocal());
    Point2D middle = new Point2D(cell.getCenterX(), cell.getMaxY() - 8);
    pressAt(middle);
    glide(middle, middle.add(-30, 0));
    release();
    settle();
    int pulled = song().part(PartId.of("keys")).orElseThrow().mix().reverb();
    assertThat(pulled).isBetween(30, 45);
    push(KeyCode.RIGHT);
    settle();
    assertThat(song().part(PartId.of("keys")).orElseThrow().mix().reverb()).isEqualTo(pulled + 2);
    push(KeyCode.ENTER);
    settle();
    assertThat(window.getScene().getFocusOwner().getId()).isEqualTo("mix-reverb");
    press("#undo", "#undo");
    assertThat(song().part(PartId.of("keys")).orElseThrow().mix().reverb()).isEqualTo(before);
  }

  @Test
  void anInstrumentIsChosenAndSet() {
    go(Stage.LEVELS);
    choose("#instrument", "pad");
    assertThat(song().part(PartId.of("keys")).orElseThrow().patch()).isEqualTo(Patch.of("pad"));
    assertThat(song().part(PartId.of("keys")).orElseThrow().program()).isEqualTo(89);
    press("#levels-page-numbers");
    press("#levels-exact");
    type("#setting-attack", "900");
    assertThat(song().part(PartId.of("keys")).orElseThrow().patch().settings())
        .containsEntry("attack", 900);
    waitFor(() -> shell.play().gauges().peak(PartId.of("keys")) > 0.001);
    type("#setting-attack", "99999");
    assertHas(words("#setting-attack-problem"), "from 20 to 2000");
    press("#undo", "#undo");
    assertThat(song().part(PartId.of("keys")).orElseThrow().patch())
        .isEqualTo(Patch.of("electric piano"));
  }

  @Test
  void theSongIsMeasuredByEarBesideTheWindow() {
    hearing = true;
    shorten();
    go(Stage.LEVELS);
    waitFor(60, () -> shell.open().view().orElseThrow().heard().isPresent());
    openSoundings();
    assertThat(
            lookup(".soundings .label").queryAll().stream()
                .map(n -> ((javafx.scene.control.Label) n).getText()))
        .contains("loudness, LUFS");
  }

  @Test
  void theMixAndItsStemsAreWritten() throws Exception {
    shorten();
    go(Stage.DELIVER);
    press("#deliver-midi", "#deliver-parts", "#deliver-mix", "#bits-16-bit", "#deliver-write");
    waitFor(() -> shown("#message") && words("#message-words").startsWith("Wrote"));
    Path documents = folder.resolve("documents");
    Path mix = documents.resolve("Lamp Room Confession 146 F#m.wav");
    double seconds = song().millis() / 1000 + 4;
    assertThat(Files.size(mix)).isEqualTo(44 + 4 * Math.round(seconds * 48_000));
    press("#deliver-mix", "#deliver-stems", "#deliver-write");
    waitFor(() -> words("#message-words").contains("files"));
    try (Stream<Path> files = Files.list(documents)) {
      assertThat(files.filter(f -> f.toString().endsWith(".wav")).count()).isBetween(4L, 6L);
    }
  }

  @Test
  void aBounceIsCancelled() throws Exception {
    go(Stage.DELIVER);
    press("#deliver-stems", "#deliver-write");
    waitFor(() -> shown("#bounce-cancel"));
    press("#bounce-cancel");
    waitFor(() -> shown("#message") && words("#message-words").startsWith("Cancelled"));
    waitFor(() -> !lookup("#bounce-progress").query().getParent().isVisible());
  }

  @Test
  void theFirstSoundIsQuietAndSaysSo() {
    assertThat(shell.play().preferences().listeningDb()).isEqualTo(-20);
    push(KeyCode.SPACE);
    waitFor(() -> shown("#message"));
    assertHas(words("#message-words"), "no audio line");
    push(KeyCode.SPACE);
    push(KeyCode.CONTROL, KeyCode.UP);
    settle();
    assertThat(shell.play().preferences().listeningDb()).isEqualTo(-18);
  }

  @Test
  void listeningBreaksAndCautionsAreInOnePanel() {
    push(KeyCode.SHIFT, KeyCode.F1);
    settle();
    assertThat(shown("#listening-panel")).isTrue();
    type("#break", "30");
    type("#level", "-26");
    press("#metronome");
    assertThat(shell.play().preferences()).isEqualTo(new Preferences(-26, 30, false, true));
    type("#break", "900");
    assertHas(words("#break-problem"), "1 to 240 minutes");
    press("#listening-close");
    waitFor(() -> Files.exists(folder.resolve("data").resolve("preferences.properties")));
    waitFor(
        () ->
            Preferences.read(folder.resolve("data").resolve("preferences.properties"))
                .equals(new Preferences(-26, 30, false, true)));
  }

  @Test
  void aBreakIsSuggestedAfterLongListening() {
    push(KeyCode.SPACE);
    waitFor(this::playing);
    waitFor(() -> tick() > 500);
    clock.addAndGet(46 * 60_000L);
    waitFor(() -> words("#message-words").contains("listened for 45 minutes"));
    push(KeyCode.SPACE);
  }

  @Test
  void anotherSongBeginsAtItsBeginningAndSilent() {
    push(KeyCode.L);
    push(KeyCode.SPACE);
    waitFor(() -> tick() > 100);
    interact(() -> shell.begin(demo(1)));
    waitFor(() -> !playing());
    waitFor(() -> tick() == 0);
    assertThat(shell.play().loop()).isEmpty();
  }
}
