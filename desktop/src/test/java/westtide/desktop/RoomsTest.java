package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import javafx.scene.shape.Circle;
import org.junit.jupiter.api.Test;
import westtide.compose.SongDraft;
import westtide.review.Stage;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.song.FollowRule;
import westtide.song.KickLink;
import westtide.song.Level;
import westtide.song.Note;
import westtide.song.Pattern;
import westtide.song.Role;
import westtide.song.Section;
import westtide.song.drum.DrumVoice;
import westtide.style.StyleBook;
import westtide.theory.Chord;
import westtide.theory.Key;
import westtide.theory.NoteName;
import westtide.theory.Scale;

/** What a person does in each room, by mouse and by keyboard. */
class RoomsTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(
        SongDraft.in(StyleBook.shipped().get("trap"))
            .withSeed(7)
            .withChords("i9 | VImaj7 | III VII | iv7")
            .song());
  }

  private List<String> chords() {
    return song().progression("hook").chords().stream().map(Chord::toString).toList();
  }

  private Pattern.Drums groove() {
    return (Pattern.Drums) song().part(Role.DRUMS).orElseThrow().variant("A").pattern();
  }

  private StepLane lane(DrumVoice voice) {
    return groove().lane(voice).orElseThrow();
  }

  private List<Note> line() {
    return ((Pattern.Written) song().part(Role.LEAD).orElseThrow().variant("A").pattern()).notes();
  }

  private Section section(int index) {
    return song().form().sections().get(index);
  }

  // Brief

  @Test
  void theTempoIsTypedNudgedAndTapped() {
    type("#tempo", "131.5");
    assertThat(words("#bridge-tempo")).isEqualTo("131.5");
    press("#tempo-up", "#tempo-up", "#tempo-down");
    assertThat(words("#bridge-tempo")).isEqualTo("132.5");
    for (int tap = 0; tap < 5; tap++) {
      clock.addAndGet(400);
      press("#tap-tempo");
    }
    assertThat(words("#bridge-tempo")).isEqualTo("150");
    type("#tempo", "five");
    assertHas(words("#tempo-problem"), "20 to 300", "five");
    assertThat(words("#bridge-tempo")).isEqualTo("150");
  }

  @Test
  @SuppressWarnings("unchecked")
  void theKeyMovesChordsAndLine() {
    int first = line().get(0).key();
    interact(
        () -> ((ComboBox<NoteName>) lookup("#key-tonic").query()).setValue(NoteName.parse("A")));
    settle();
    assertThat(song().brief().key()).isEqualTo(Key.parse("A minor"));
    assertThat(chords()).startsWith("Am9", "Fmaj7");
    assertThat(line().get(0).key()).isEqualTo(first + 3);
    interact(() -> ((ComboBox<Scale>) lookup("#key-scale").query()).setValue(Scale.DORIAN));
    settle();
    assertThat(words("#bridge-key")).isEqualTo("A dorian");
  }

  @Test
  void swingIsNudgedAndSeenAsDisplacement() {
    go(Stage.DRUMS);
    double straight = middle("#bead-snare-32").getX();
    double kick = middle("#bead-kick-1").getX();
    go(Stage.BRIEF);
    type("#swing", "62");
    go(Stage.DRUMS);
    assertThat(middle("#bead-snare-32").getX()).isGreaterThan(straight + 3);
    assertThat(middle("#bead-kick-1").getX()).isEqualTo(kick);
  }

  @Test
  void anotherStyleMeasuresAnewAndANewTakeDraftsInIt() {
    press("#style-house");
    assertThat(song().brief().style()).isEqualTo("house");
    assertThat(words("#fix-0")).isEqualTo("set it to 126");
    var before = groove();
    press("#new-take");
    waitFor(() -> !groove().equals(before));
    assertThat(song().brief().tempo()).hasToString("142");
    press("#undo", "#undo");
    assertThat(song().brief().style()).isEqualTo("trap");
    assertThat(groove()).isEqualTo(before);
  }

  // Chords

  @Test
  void aChordLineIsTypedDrawnAndUndone() {
    go(Stage.CHORDS);
    type("#chord-line", "i9 . . VI/VII | bIImaj7 | V7b9 | .");
    assertThat(chords()).containsExactly("F♯m9", "D/E", "Gmaj7", "C♯7♭9");
    assertThat(lookup("#chord-card-3").query().getAccessibleText())
        .isEqualTo("Chord 4, V7♭9, C♯7♭9");
    assertThat(lookup("#chord-line").queryTextInputControl().getText())
        .isEqualTo("i9 . . VI/VII | ♭IImaj7 | V7♭9 | .");
    press("#notation-names");
    assertThat(lookup("#chord-line").queryTextInputControl().getText())
        .isEqualTo("F♯m9 . . D/E | Gmaj7 | C♯7♭9 | .");
    push(KeyCode.CONTROL, KeyCode.Z);
    push(KeyCode.CONTROL, KeyCode.Z);
    settle();
    assertThat(chords()).containsExactly("F♯m9", "Dmaj7", "A", "E", "Bm7");
  }

  @Test
  void aWrongChordIsPointedAtAndNothingIsLost() {
    go(Stage.CHORDS);
    type("#chord-line", "i9 | Hm7");
    assertHas(words("#chord-line-problem"), "column 6", "\"Hm7\" is no chord");
    assertThat(chords()).hasSize(5);
    assertThat(lookup("#chord-line").queryTextInputControl().getText()).isEqualTo("i9 | Hm7");
    push(KeyCode.ESCAPE);
    settle();
    assertThat(shown("#chord-line-problem")).isFalse();
    assertHas(lookup("#chord-line").queryTextInputControl().getText(), "VImaj7");
  }

  @Test
  void aChordIsChosenByMouseAndKeysAndTold() {
    go(Stage.CHORDS);
    clickOn("#chord-card-1");
    settle();
    assertHas(words("#chord-told"), "Dmaj7 is D F♯ A C♯");
    push(KeyCode.RIGHT);
    settle();
    assertHas(words("#chord-told"), "A is A C♯ E", "To E");
  }

  // Drums

  @Test
  void aClickPlacesAndTakesAwayAndADragSetsTheVelocity() {
    go(Stage.DRUMS);
    Point2D first = middle("#bead-kick-1");
    double step = (middle("#bead-closed_hat-3").getX() - middle("#bead-closed_hat-1").getX()) / 2;
    clickOn(new Point2D(first.getX() + step, first.getY()));
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
    assertHas(words("#hit-told"), "Snare · 1.1.2", "velocity 64", "+5 ticks", "3 strokes");
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
  @SuppressWarnings("unchecked")
  void voicesAndGroovesAreAdded() {
    go(Stage.DRUMS);
    interact(() -> ((ComboBox<DrumVoice>) lookup("#add-voice").query()).setValue(DrumVoice.RIDE));
    settle();
    assertThat(groove().lane(DrumVoice.RIDE)).isPresent();
    interact(() -> shell.run("drums-whole-groove"));
    settle();
    press("#groove-copy");
    assertThat(shown("#groove-b")).isTrue();
    assertThat(song().part(Role.DRUMS).orElseThrow().variants()).hasSize(4);
  }

  // Low end

  @Test
  void the808IsDrawnOnTheKickAndCanGoItsOwnWay() {
    go(Stage.LOW_END);
    assertHas(lookup("#sub-0").query().getAccessibleText(), "808 F♯1");
    press("#link-independent");
    assertThat(rule().link()).isEqualTo(KickLink.INDEPENDENT);
    type("#sub-lowest", "A0");
    assertThat(rule().lowest()).isEqualTo(21);
    assertHas(words("#low-end-told"), "Hz");
    assertThat(shown("#finding-0")).isTrue();
    press("#fix-0");
    assertThat(rule().lowest()).isEqualTo(28);
  }

  private FollowRule.Sub rule() {
    Pattern.Following pattern =
        (Pattern.Following) song().part(Role.SUB).orElseThrow().variants().get(0).pattern();
    return (FollowRule.Sub) pattern.rule();
  }

  // Lines

  @Test
  void aNoteIsPlacedMovedLengthenedAndDeletedByMouse() {
    go(Stage.LINES);
    List<Note> before = line();
    Point2D last = middle("#note-0");
    Node sheet = lookup("#degree-sheet").query();
    double bar = (sheet.getLayoutBounds().getWidth() - 58) / 4;
    Point2D empty = new Point2D(last.getX() + bar * 2.85, last.getY() + 60);
    clickOn(empty);
    settle();
    assertThat(line()).hasSize(before.size() + 1);
    Note placed = line().stream().filter(n -> !before.contains(n)).findFirst().orElseThrow();
    assertThat(placed.ticks()).isEqualTo(480);
    drag(empty, empty.add(bar / 4, 0));
    settle();
    assertThat(line()).contains(placed.withStart(placed.start() + 960));
    assertHas(words("#note-told"), "2 steps");
    push(KeyCode.SHIFT, KeyCode.RIGHT);
    settle();
    assertThat(line()).contains(placed.withStart(placed.start() + 960).withTicks(720));
    push(KeyCode.DELETE);
    settle();
    assertThat(line()).isEqualTo(before);
  }

  @Test
  void theRightEndOfANoteIsDraggedToLengthenItInOneStep() {
    go(Stage.LINES);
    Note first = line().get(0);
    Node node = lookup("#note-0").query();
    var bounds = node.localToScreen(node.getLayoutBounds());
    Node sheet = lookup("#degree-sheet").query();
    double step = (sheet.getLayoutBounds().getWidth() - 58) / 64;
    Point2D end = new Point2D(bounds.getMaxX() - 2, bounds.getCenterY());
    drag(end, end.add(2 * step, 0));
    settle();
    assertThat(line().get(0)).isEqualTo(first.withTicks(first.ticks() + 480));
    press("#undo");
    assertThat(line().get(0)).isEqualTo(first);
  }

  @Test
  void theLineIsTransposedAndDraftedAnew() {
    go(Stage.LINES);
    List<Integer> keys = line().stream().map(Note::key).toList();
    press("#octave-up", "#line-down");
    assertThat(line()).extracting(Note::key).isEqualTo(keys.stream().map(k -> k + 11).toList());
    press("#line-take");
    waitFor(() -> line().size() != keys.size() || line().get(0).key() != keys.get(0) + 11);
    press("#undo", "#undo", "#undo");
    assertThat(line()).extracting(Note::key).isEqualTo(keys);
  }

  @Test
  void aNoteIsWrittenByKeys() {
    go(Stage.LINES);
    int size = line().size();
    interact(() -> lookup("#degree-sheet").query().requestFocus());
    push(KeyCode.UP);
    push(KeyCode.UP);
    push(KeyCode.RIGHT);
    push(KeyCode.ENTER);
    settle();
    assertThat(line()).hasSize(size + 1);
    Note placed = line().stream().filter(n -> n.start() == 240).findFirst().orElseThrow();
    push(KeyCode.DOWN);
    settle();
    assertThat(line()).filteredOn(n -> n.start() == 240).allMatch(n -> n.key() < placed.key());
  }

  // Form

  @Test
  void aSectionIsAddedResizedMovedRemovedAndUndone() {
    go(Stage.FORM);
    String before = song().form().toString();
    press("#section-add");
    assertThat(song().form())
        .hasToString(before.replace("hook 16, verse 16, pre", "hook 16, verse 8, verse 16, pre"));
    press("#section-longer", "#section-later");
    assertThat(song().form().toString())
        .startsWith("intro 8, hook 16, verse 16, verse 12, pre-hook 8");
    press("#section-remove");
    assertThat(song().form()).hasToString(before);
    press("#undo", "#undo", "#undo", "#undo");
    assertThat(song().form()).hasToString(before);
    assertThat(lookup("#tide-length").queryText().getText()).endsWith("2:56");
  }

  @Test
  void aFormIsTypedAndATemplateLaidOut() {
    go(Stage.FORM);
    type("#form-line", "intro 4, chorus 8, breakdown 8, drop 16");
    assertThat(song().form()).hasToString("intro 4, chorus 8, breakdown 8, drop 16");
    type("#form-line", "intro 4, solo 9");
    assertHas(words("#form-line-problem"), "column 10", "solo");
    push(KeyCode.ESCAPE);
    press("#template-hook-first");
    assertThat(song().form().toString()).startsWith("hook 16, verse 16");
  }

  @Test
  void aTankIsFilledByClickAndByKeys() {
    go(Stage.FORM);
    Node tank = lookup("#tank-0-808-0").query();
    var bounds = tank.localToScreen(tank.getLayoutBounds());
    clickOn(new Point2D(bounds.getCenterX(), bounds.getMaxY() - bounds.getHeight() * 0.3));
    settle();
    assertThat(section(0).cell("808", 0).level()).isEqualTo(Level.HINT);
    push(KeyCode.PLUS);
    settle();
    assertThat(section(0).cell("808", 0).level()).isEqualTo(Level.HALF);
    push(KeyCode.RIGHT);
    push(KeyCode.DIGIT0);
    settle();
    assertThat(section(1).cell("808", 0).level()).isEqualTo(Level.OUT);
    assertHas(words("#tank-told"), "808 in the hook: out");
    press("#cell-split");
    assertThat(section(1).cells("808")).hasSize(2);
  }

  @Test
  void theTideChartSelectsASectionAndOpensTheForm() {
    clickOn("#tide-section-2");
    settle();
    assertThat(shell.open().section()).isEqualTo(2);
    push(KeyCode.LEFT);
    settle();
    assertThat(shell.open().section()).isEqualTo(1);
    doubleClickOn("#tide-section-3");
    settle();
    assertThat(shown("#tank-sheet")).isTrue();
  }

  // Soundings and commands

  @Test
  void aFindingIsFixedLeftAndRecalled() {
    go(Stage.CHORDS);
    type("#chord-line", "i | V7 | bII | i");
    String first = lookup("#finding-0 .label").queryAs(javafx.scene.control.Label.class).getText();
    press("#leave-0");
    assertThat(lookup("#finding-0 .label").queryAs(javafx.scene.control.Label.class).getText())
        .isNotEqualTo(first);
    press("#recall-left");
    assertThat(song().leftAlone()).isEmpty();
    press("#fix-0");
    assertThat(chords()).doesNotContain("C♯7");
  }

  @Test
  void anyActionIsFoundByTypingAndRunByEnter() {
    push(KeyCode.SLASH);
    settle();
    clickOn("#command-search");
    write("go low");
    push(KeyCode.ENTER);
    settle();
    assertThat(shown("#low-end-sheet")).isTrue();
    push(KeyCode.SLASH);
    settle();
    assertThat(lookup("#command-rows .command-row").queryAll()).hasSizeGreaterThan(25);
    push(KeyCode.ESCAPE);
    settle();
    assertThat(shown("#command-search")).isFalse();
    push(KeyCode.ALT, KeyCode.UP);
    settle();
    assertThat(words("#bridge-tempo")).isEqualTo("143");
  }
}
