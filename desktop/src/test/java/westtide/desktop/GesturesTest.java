package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.ScrollEvent;
import org.junit.jupiter.api.Test;
import westtide.desktop.open.Palette;
import westtide.desktop.open.WindowMemory;
import westtide.review.finding.Stage;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.Restart;
import westtide.song.form.Level;
import westtide.song.id.PartId;

/** The same gestures on every sheet: one drag is one step, Escape gives back, menus never erase. */
class GesturesTest extends TrapSongTest {
  private List<Hit> kicks() {
    return groove().lane(DrumVoice.KICK).orElseThrow().hits();
  }

  private Level level(int section, String part) {
    return song().form().sections().get(section).cell(PartId.of(part), 0).level();
  }

  private Bounds bounds(String query) {
    settle();
    Node node = lookup(query).query();
    return node.localToScreen(node.getLayoutBounds());
  }

  @Test
  void twoDragsAreTwoStepsAndNamesSayTheThing() {
    go(Stage.DRUMS);
    Point2D bead = middle("#bead-kick-1");
    drag(bead, bead.add(0, 20));
    drag(middle("#bead-kick-1"), middle("#bead-kick-1").add(0, 15));
    int soft = kicks().get(0).velocity();
    press("#undo");
    assertThat(kicks().get(0).velocity()).isBetween(soft + 5, soft + 30);
    press("#undo");
    assertThat(shell.open().undoable()).isEmpty();
    go(Stage.FORM);
    Bounds tank = bounds("#tank-1-808-0");
    drag(
        new Point2D(tank.getCenterX(), tank.getMaxY() - 3),
        new Point2D(tank.getCenterX(), tank.getMinY() + 3));
    assertThat(level(1, "808")).isEqualTo(Level.LIFTED);
    assertThat(shell.open().undoable().orElseThrow()).contains("808");
    press("#undo");
    assertThat(shell.open().undoable()).as("a drag through five levels is one step").isEmpty();
  }

  @Test
  void whileDraggingTheValueStandsBesideThePointerAndEscapeGivesItBack() {
    go(Stage.DRUMS);
    Song before = song();
    Point2D bead = middle("#bead-kick-1");
    pressAt(bead);
    glide(bead, bead.add(0, 30));
    settle();
    assertThat(song()).isNotEqualTo(before);
    assertHas(lookup("#bead-sheet-value").<Labeled>query().getText(), "velocity");
    push(KeyCode.ESCAPE);
    glide(bead.add(0, 30), bead.add(0, 10));
    release();
    settle();
    assertThat(song()).isEqualTo(before);
    assertThat(shell.open().undoable()).isEmpty();
    assertThat(lookup("#bead-sheet-value").tryQuery()).isEmpty();
  }

  @Test
  void theOtherButtonOpensAMenuWithTheKeysAndErasesNothing() {
    go(Stage.DRUMS);
    int before = kicks().size();
    menuOn(middle("#bead-kick-1"));
    assertThat(kicks()).hasSize(before);
    assertThat(shown("#action-menu")).isTrue();
    push(KeyCode.ESCAPE);
    settle();
    assertThat(lookup("#action-menu").tryQuery()).isEmpty();
    menuOn(middle("#bead-kick-1"));
    press("#menu-delete");
    assertThat(kicks()).hasSize(before - 1);
    assertThat(window.getScene().getFocusOwner().getId()).isEqualTo("bead-sheet");
  }

  @Test
  void manyHitsAreChosenCopiedMovedAndDeletedTogether() {
    go(Stage.DRUMS);
    int before = kicks().size();
    Point2D first = middle("#bead-kick-1");
    Node sheet = lookup("#bead-sheet").query();
    Bounds area = sheet.localToScreen(sheet.getLayoutBounds());
    hold(KeyCode.CONTROL);
    drag(
        new Point2D(area.getMinX() + 105, first.getY() - 14),
        new Point2D(area.getMaxX() - 3, first.getY() + 14));
    letGo(KeyCode.CONTROL);
    assertThat(shell.open().selection().notes()).hasSize(before);
    push(KeyCode.DIGIT4);
    settle();
    assertThat(kicks()).allMatch(hit -> hit.velocity() == 51);
    push(KeyCode.SHIFT, KeyCode.RIGHT);
    settle();
    assertThat(kicks().get(0).step()).isEqualTo(1);
    push(KeyCode.CONTROL, KeyCode.X);
    settle();
    assertThat(kicks()).isEmpty();
    push(KeyCode.HOME);
    push(KeyCode.CONTROL, KeyCode.V);
    settle();
    assertThat(kicks()).hasSize(before);
    assertThat(kicks().get(0).step()).isZero();
  }

  @Test
  void tanksAreChosenWithShiftAndFilledTogether() {
    go(Stage.FORM);
    clickOn("#tank-0-drums-0");
    hold(KeyCode.SHIFT);
    clickOn("#tank-1-drums-0");
    letGo(KeyCode.SHIFT);
    push(KeyCode.DIGIT4);
    settle();
    assertThat(level(0, "drums")).isEqualTo(Level.LIFTED);
    assertThat(level(1, "drums")).isEqualTo(Level.LIFTED);
    press("#undo");
    assertThat(shell.open().undoable()).isEmpty();
    push(KeyCode.DELETE);
    Bounds head = bounds("#section-2");
    int undoable = shell.open().undoable().isPresent() ? 1 : 0;
    drag(
        new Point2D(head.getCenterX(), head.getCenterY()),
        new Point2D(head.getCenterX(), head.getCenterY() + 90));
    assertThat(shell.open().undoable().isPresent() ? 1 : 0)
        .as("a section's head fills nothing")
        .isEqualTo(undoable);
  }

  @Test
  void theHistoryGoesToAnyStep() {
    go(Stage.LINES);
    Song opened = song();
    press("#octave-up", "#line-down", "#line-down");
    Song last = song();
    press("#history", "#history-0");
    assertThat(song()).isSameAs(opened);
    press("#history");
    assertHas(lookup("#history-3").<Labeled>query().getText(), "Bell", "undone");
    press("#history-3");
    assertThat(song()).isSameAs(last);
  }

  @Test
  void theKeyCardListsWhatTheSheetAndTheWindowAnswerTo() {
    go(Stage.DRUMS);
    push(KeyCode.SHIFT, KeyCode.SLASH);
    settle();
    assertThat(shown("#key-card")).isTrue();
    assertThat(lookup("#key-card .label").queryAll())
        .extracting(node -> ((Labeled) node).getText())
        .contains("duplicate after", "Ctrl+D", "Save the song", "condition: repeats");
    push(KeyCode.ESCAPE);
    settle();
    assertThat(shown("#overlay")).isFalse();
  }

  @Test
  void actionsAndControlsAreFoundByOtherWordsOfTheTrade() {
    go(Stage.BRIEF);
    for (String word :
        List.of("sidechain", "bass", "clap", "swing", "stick", "pan", "transpose", "humanise")) {
      push(KeyCode.SLASH);
      settle();
      write(word);
      settle();
      assertThat(lookup("#command-rows .command-row").queryAll()).as(word).isNotEmpty();
      assertThat(words("#command-nothing")).as(word).isEmpty();
      push(KeyCode.ESCAPE);
      settle();
    }
    push(KeyCode.SLASH);
    settle();
    write("ducking depth");
    push(KeyCode.ENTER);
    settle();
    assertThat(window.getScene().getFocusOwner().getId()).isEqualTo("mix-duck-depth");
    interact(() -> lookup("#plumb-sheet").query().requestFocus());
    push(KeyCode.SLASH);
    settle();
    write("quantisse");
    settle();
    assertHas(words("#command-nothing"), "Nothing is called “quantisse”");
    assertThat(lookup("#command-rows .command-row").queryAll()).isNotEmpty();
    push(KeyCode.ESCAPE);
  }

  @Test
  void theMidiFileIsWrittenFromAnyRoomIntoTheFolderOfTheSong() {
    go(Stage.DRUMS);
    push(KeyCode.CONTROL, KeyCode.E);
    waitFor(() -> shown("#message") && words("#message-words").contains("Wrote"));
    assertHas(words("#message-words"), folder.resolve("documents").toString());
    type("#deliver-folder", "/dev/null/x");
    push(KeyCode.CONTROL, KeyCode.E);
    waitFor(() -> lookup("#message").query().getStyleClass().contains("bad"));
    assertHas(words("#message-words"), "/dev/null/x", "hoose");
    go(Stage.DRUMS);
    assertThat(shown("#message")).as("a failure stays where it happened").isFalse();
  }

  @Test
  void aSecondTomAndAnyInstrumentAreAddedAsLanes() {
    go(Stage.DRUMS);
    choose("#add-voice", "Tom");
    choose("#add-voice", "Tom 2");
    assertThat(groove().find(new LaneId(DrumVoice.TOM, 2))).isPresent();
    choose("#add-voice", "zap");
    LaneId added = groove().lanes().get(groove().lanes().size() - 1).id();
    assertThat(added.voice()).isEqualTo(DrumVoice.PERCUSSION);
    assertThat(song().parts(Role.DRUMS).get(0).sound(added).instrument()).contains("zap");
    run("drums-sound");
    type("#lane-reverb", "40");
    assertThat(song().parts(Role.DRUMS).get(0).sound(added).reverb()).isEqualTo(40);
    run("drums-lane");
    type("#lane-restart", "12");
    assertThat(groove().find(added).orElseThrow().restart()).contains(new Restart(12));
    press("#lane-random-accents");
    StepLane accents = groove().find(added).orElseThrow().accents().orElseThrow();
    press("#lane-random-accents");
    assertThat(groove().find(added).orElseThrow().accents()).isPresent().isNotEqualTo(accents);
  }

  @Test
  void theWheelWithCtrlLooksCloser() {
    go(Stage.DRUMS);
    Node bead = lookup("#bead-kick-1").query();
    assertThat(lookup("#look-two-bars").tryQuery()).isEmpty();
    int beads = lookup(".bead").queryAll().size();
    interact(() -> bead.getParent().fireEvent(wheel(true, 40)));
    settle();
    assertThat(lookup(".bead").queryAll().size()).isLessThan(beads);
    assertThat(lookup("#look-one-bar").<ToggleButton>query().isSelected()).isTrue();
    interact(() -> lookup("#bead-sheet").query().fireEvent(wheel(true, -40)));
    settle();
    assertThat(lookup(".bead").queryAll()).hasSize(beads);
  }

  @Test
  void theWheelWithCtrlShowsFewerSectionsWider() {
    go(Stage.FORM);
    int sections = song().form().sections().size();
    for (int i = 0; i < 4; i++) {
      interact(() -> lookup("#tank-sheet").query().fireEvent(wheel(true, 40)));
    }
    settle();
    assertThat(sectionsInView()).isLessThan(sections);
    assertThat(lookup("#sections-in-view").tryQuery()).isPresent();
    for (int i = 0; i < 4; i++) {
      interact(() -> lookup("#tank-sheet").query().fireEvent(wheel(true, -40)));
    }
    settle();
    assertThat(sectionsInView()).isEqualTo(sections);
  }

  private long sectionsInView() {
    return lookup("#tank-sheet").query().lookupAll(".mark-text").stream()
        .filter(node -> node.getId() != null && node.getId().matches("section-\\d+"))
        .count();
  }

  private static ScrollEvent wheel(boolean ctrl, double up) {
    return new ScrollEvent(
        ScrollEvent.SCROLL,
        0,
        0,
        0,
        0,
        false,
        ctrl,
        false,
        false,
        false,
        false,
        0,
        up,
        0,
        up,
        ScrollEvent.HorizontalTextScrollUnits.NONE,
        0,
        ScrollEvent.VerticalTextScrollUnits.NONE,
        0,
        0,
        null);
  }

  @Test
  void textIsScaledThePaletteChangesAndBothAreRemembered() {
    go(Stage.LINES);
    double before = height("#octave-up");
    push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.PERIOD);
    push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.PERIOD);
    settle();
    assertThat(height("#octave-up")).isGreaterThan(before);
    run("palette");
    assertThat(window.getScene().getStylesheets()).anyMatch(url -> url.endsWith("night.css"));
    interact(() -> shell.remember(10, 20, 1100, 760));
    WindowMemory kept = WindowMemory.read(folder.resolve("data").resolve("window.properties"));
    assertThat(kept.textPercent()).isEqualTo(120);
    assertThat(kept.palette()).isEqualTo(Palette.NIGHT_WATCH);
    assertThat(kept.room()).isEqualTo(Stage.LINES);
    assertThat(kept.width()).isEqualTo(1100);
    run("palette");
    run("text-usual");
    assertThat(height("#octave-up")).isEqualTo(before);
  }

  /** How high a control stands in the window, in pixels. */
  private double height(String control) {
    Node node = lookup(control).query();
    return node.localToScene(node.getLayoutBounds()).getHeight();
  }
}
