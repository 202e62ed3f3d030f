package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.compose.SongDraft;
import westtide.review.finding.Stage;
import westtide.song.Role;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.Pattern;
import westtide.style.StyleBook;

/** Ways through the rooms besides the first ones: keys, pages, lists and drags. */
class KeysTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(SongDraft.in(StyleBook.shipped().get("house")).withSeed(4).song());
  }

  private Section section(int index) {
    return song().form().sections().get(index);
  }

  private List<Note> line() {
    return ((Pattern.Written) song().parts(Role.LINE).get(0).pattern("A").pattern()).notes();
  }

  @Test
  void stagesAreReachedByTheirNumbers() {
    List<String> sheets =
        List.of(
            "#swing-sheet",
            "#voice-ladder",
            "#bead-sheet",
            "#low-end-sheet",
            "#degree-sheet",
            "#tank-sheet",
            "#plumb-sheet",
            "#deliver-folder");
    for (int i = 0; i < sheets.size(); i++) {
      push(KeyCode.ALT, KeyCode.getKeyCode(String.valueOf(i + 1)));
      settle();
      assertThat(shown(sheets.get(i))).as(sheets.get(i)).isTrue();
    }
  }

  @Test
  void tabGoesThroughTheControlsOfARoomAndComesRound() {
    go(Stage.FORM);
    focus("#form-line");
    boolean reachedSheet = false;
    boolean reachedTide = false;
    for (int i = 0; i < 60; i++) {
      push(KeyCode.TAB);
      String id = window.getScene().getFocusOwner().getId();
      reachedSheet |= "tank-sheet".equals(id);
      reachedTide |= "tide-chart".equals(id);
    }
    assertThat(reachedSheet).isTrue();
    assertThat(reachedTide).isTrue();
  }

  @Test
  void aNumberIsNudgedByArrowsAndByDraggingItsLabel() {
    clickOn("#tempo");
    push(KeyCode.UP);
    settle();
    assertThat(words("#bridge-tempo")).isEqualTo("123");
    push(KeyCode.SHIFT, KeyCode.DOWN);
    settle();
    assertThat(words("#bridge-tempo")).isEqualTo("113");
    Point2D label = middle("#tempo-label");
    drag(label, label.add(0, -30));
    settle();
    assertThat(Integer.parseInt(words("#bridge-tempo"))).isBetween(116, 119);
    push(KeyCode.CONTROL, KeyCode.Z);
    settle();
    assertThat(words("#bridge-tempo")).as("one drag is one step").isEqualTo("113");
  }

  @Test
  void escapePutsAHalfTypedLineBack() {
    go(Stage.CHORDS);
    String before = lookup("#chord-line").queryTextInputControl().getText();
    clickOn("#chord-line");
    write(" | VI");
    push(KeyCode.ESCAPE);
    settle();
    assertThat(lookup("#chord-line").queryTextInputControl().getText()).isEqualTo(before);
    assertThat(shell.open().undoable()).isEmpty();
  }

  @Test
  void aLineIsTakenWhenItsFieldIsLeft() {
    go(Stage.CHORDS);
    clickOn("#chord-line");
    interact(() -> lookup("#chord-line").queryTextInputControl().setText("i9 | IV9"));
    clickOn("#voice-ladder");
    settle();
    assertThat(song().progression("hook").chords()).hasSize(2);
  }

  @Test
  void theVerseHasItsOwnLine() {
    go(Stage.CHORDS);
    press("#progression-verse");
    type("#chord-line", "VII | i");
    assertThat(song().progression("verse").chords().get(0)).hasToString("G");
    assertThat(song().progression("hook").chords().get(0).toString()).startsWith("Am");
  }

  @Test
  void theLowEndIsTurnedByItsArrows() {
    go(Stage.LOW_END);
    String first = words("#low-summary");
    focus("#low-end-sheet");
    push(KeyCode.PAGE_DOWN);
    settle();
    press("#page-bars-5-8", "#page-bars-1-4");
    focus("#low-end-sheet");
    push(KeyCode.PAGE_UP);
    push(KeyCode.PAGE_UP);
    settle();
    assertThat(words("#low-summary")).isEqualTo(first);
  }

  @Test
  void theLineHasPagesAndAVelocity() {
    go(Stage.LINES);
    press("#page-bars-5-8");
    Note late = line().stream().filter(n -> n.start() >= 4 * 3840).findFirst().orElseThrow();
    clickOn("#note-" + line().indexOf(late));
    settle();
    push(KeyCode.MINUS);
    push(KeyCode.SHIFT, KeyCode.UP);
    settle();
    assertThat(line()).contains(late.withVelocity(late.velocity() - 6).withKey(late.key() + 1));
    push(KeyCode.ESCAPE);
    settle();
    assertHas(words("#lines-summary"), "Drag to write a note");
  }

  @Test
  void aTankFollowsTheMouseInOneDrag() {
    go(Stage.FORM);
    Node tank = lookup("#tank-0-drums-0").query();
    var bounds = tank.localToScreen(tank.getLayoutBounds());
    Point2D bottom = new Point2D(bounds.getCenterX(), bounds.getMaxY() - 3);
    drag(bottom, bottom.add(0, -bounds.getHeight() + 5));
    settle();
    assertThat(section(0).cell(PartId.of("drums"), 0).level()).isEqualTo(Level.LIFTED);
  }

  @Test
  void theArrowsWalkFromTankToTankAcrossSections() {
    go(Stage.FORM);
    interact(() -> shell.open().select(0));
    focus("#tank-sheet");
    push(KeyCode.DOWN);
    push(KeyCode.DOWN);
    push(KeyCode.RIGHT);
    push(KeyCode.RIGHT);
    settle();
    assertThat(shell.open().section()).isEqualTo(1);
    assertHas(words("#tank-summary"), "Drums in the groove");
    push(KeyCode.LEFT);
    settle();
    assertThat(shell.open().section()).isZero();
    Level before = section(0).cell(PartId.of("drums"), 15).level();
    push(KeyCode.ENTER);
    settle();
    assertThat(section(0).cell(PartId.of("drums"), 15).level()).isNotEqualTo(before);
  }

  @Test
  void aSectionIsRenamedReharmonisedAndGivenAnotherGroove() {
    go(Stage.FORM);
    interact(() -> shell.open().select(1));
    press("#form-page-section");
    choose("#section-word", SectionWord.VERSE);
    choose("#section-progression", "verse");
    assertThat(section(1).word()).isEqualTo(SectionWord.VERSE);
    assertThat(section(1).progression()).isEqualTo("verse");
    clickOn("#tank-1-drums-0");
    settle();
    press("#form-page-tank");
    choose("#cell-pattern", "thin");
    assertThat(section(1).cell(PartId.of("drums"), 0).pattern()).isEqualTo("thin");
    press("#cell-join");
    assertThat(section(1).cells(PartId.of("drums"))).hasSize(1);
  }

  /** Every command that changes the song can be taken back, and none of them fails in any room. */
  @Test
  void everyActionOfTheListRunsAndCanBeUndone() {
    var before = song();
    for (String action :
        List.of(
            "do-faster",
            "do-copy-groove",
            "do-take-groove",
            "do-line-octave-up",
            "do-line-down",
            "do-add-section",
            "do-longer-section",
            "do-move-section-later",
            "do-move-section-earlier",
            "do-remove-section",
            "do-write-names",
            "do-lock-sub")) {
      var last = song();
      interact(() -> window.getScene().getRoot().requestFocus());
      push(KeyCode.SLASH);
      waitFor(() -> shown("#" + action));
      interact(() -> ((javafx.scene.control.Button) lookup("#" + action).query()).fire());
      settle();
      assertThat(song()).as(action).isNotEqualTo(last);
    }
    while (shell.open().undoable().isPresent()) {
      push(KeyCode.CONTROL, KeyCode.Z);
      settle();
    }
    assertThat(song()).isEqualTo(before);
  }

  @Test
  void theTapKeyTapsAndTypingATDoesNot() {
    interact(() -> window.getScene().getRoot().requestFocus());
    for (int i = 0; i < 4; i++) {
      clock.addAndGet(480);
      push(KeyCode.T);
    }
    settle();
    assertThat(words("#bridge-tempo")).isEqualTo("125");
    clock.addAndGet(5000);
    type("#song-title", "Tattle");
    assertThat(song().title()).isEqualTo("Tattle");
    assertThat(words("#bridge-tempo")).isEqualTo("125");
  }

  /** The drawing first, what is about it, then the frame, and round again; also from a text. */
  @Test
  void aKeyGoesRoundTheAreasOfTheWindow() {
    go(Stage.LINES);
    focus("#degree-sheet");
    push(KeyCode.F6);
    assertThat(inFront("#degree-sheet")).isFalse();
    push(KeyCode.F6);
    assertThat(inFront("#soundings-open")).isTrue();
    push(KeyCode.F6);
    assertThat(inFront("#tide-chart")).isTrue();
    push(KeyCode.F6);
    assertThat(inFront("#stage-lines")).isTrue();
    push(KeyCode.F6);
    assertThat(inFront("#degree-sheet")).isTrue();
    focus("#lines-line-text");
    push(KeyCode.F6);
    assertThat(inFront("#soundings-open")).isTrue();
  }

  private boolean inFront(String query) {
    return window.getScene().getFocusOwner() == lookup(query).query();
  }
}
