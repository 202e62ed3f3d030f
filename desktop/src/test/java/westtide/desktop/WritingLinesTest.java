package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.edit.line.LineEdits;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.Arpeggio;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.Pattern;
import westtide.song.pattern.PhraseUnit;

/** Lines and low lines in writing, by text, pointer and keys. */
class WritingLinesTest extends TrapSongTest {
  private Part sub() {
    return song().parts(Role.SUB).get(0);
  }

  private Pattern.Attached low() {
    return (Pattern.Attached) sub().patterns().get(0).pattern();
  }

  @Test
  void aLineIsTypedAndWhatTheTextCannotSayStays() {
    go(Stage.LINES);
    Note first = new Note(0, 480, 73, 87);
    Part lead = shell.open().song().parts(Role.LINE).get(0);
    Pattern.Written before = new Pattern.Written(2, List.of(first));
    interact(
        () ->
            shell
                .open()
                .apply(
                    new LineEdits(lead.id(), lead.patterns().get(0).name()).replace("", before)));
    type("#lines-line-text", "5 - . b6 5 - - - | b7 . . 5' - . 1 ,5");
    assertThat(line()).hasSize(7);
    assertThat(line().get(0).key()).isEqualTo(first.key());
    assertThat(line().get(0).velocity()).as("as it was played").isEqualTo(first.velocity());
    type("#lines-line-text", "5 - x");
    assertHas(words("#lines-line-text-problem"), "column 5");
    push(KeyCode.ESCAPE);
    press("#undo");
    assertThat(line()).contains(first);
  }

  @Test
  void the808IsWrittenOutAndGetsARestASlideAndARamp() {
    go(Stage.LOW_END);
    List<Integer> before = played();
    press("#low-write-out");
    assertThat(played()).as("written out it sounds the same").isEqualTo(before);
    int notes = low().notes().size();
    type("#low-line-text", "R - - - . . ~R8 - R - - - . . R - | R . . .");
    assertThat(low().notes()).extracting(n -> n.slide() > 0).contains(true);
    assertThat(low().bars()).isEqualTo(2);
    assertThat(low().notes()).hasSizeLessThan(notes + 10);
    clickOn("#sub-3");
    press("#shape-ramp");
    assertThat(low().notes()).hasSize(5 + 8);
    press("#undo");
    assertThat(low().notes()).hasSize(5);
  }

  private List<Integer> played() {
    PartId id = sub().id();
    return shell.open().view().orElseThrow().score().part(id).orElseThrow().notes().stream()
        .map(note -> note.key())
        .toList();
  }

  @Test
  void aLowNoteIsDrawnAndFollowsItsChord() {
    go(Stage.LOW_END);
    press("#low-write-out");
    type("#low-line-text", "R - - - . . . . . . . . . . . .");
    Node sheet = lookup("#low-end-sheet").query();
    double step = (sheet.getLayoutBounds().getWidth() - 100) / 16;
    Node note = lookup("#sub-0").query();
    var bounds = note.localToScreen(note.getLayoutBounds());
    Point2D empty = new Point2D(bounds.getMinX() + 8.3 * step, bounds.getCenterY());
    drag(empty, empty.add(2 * step, 0));
    settle();
    assertThat(low().notes()).hasSize(2);
    assertThat(low().notes().get(1).degree()).hasToString("R");
    assertThat(low().notes().get(1).ticks()).isEqualTo(720);
    press("#undo");
    assertThat(low().notes()).hasSize(1);
  }

  @Test
  void chosenNotesAreShapedAndTheRestStays() {
    go(Stage.LINES);
    List<Note> before = line();
    clickOn("#note-0");
    press("#shape-legato");
    assertThat(line().get(0).end()).isEqualTo(before.get(1).start());
    assertThat(line().subList(1, line().size())).isEqualTo(before.subList(1, before.size()));
    press("#undo");
    push(KeyCode.ESCAPE);
    press("#shape-reverse", "#shape-reverse");
    assertThat(line()).isEqualTo(before);
  }

  @Test
  void theNoteListSetsExactValues() {
    go(Stage.LINES);
    press("#lines-page-note-list");
    clickOn("#note-0");
    settle();
    type("#note-velocity", "77");
    type("#note-length", "333");
    assertThat(line().get(0).velocity()).isEqualTo(77);
    assertThat(line().get(0).ticks()).isEqualTo(333);
    type("#note-velocity", "400");
    assertHas(words("#note-velocity-problem"), "127");
  }

  @Test
  void patternsAreCopiedLengthenedAndUsedEverywhere() {
    go(Stage.LINES);
    PartId lead = song().parts(Role.LINE).get(0).id();
    int bars = ((Pattern.Written) song().part(lead).orElseThrow().pattern("A").pattern()).bars();
    press("#pattern-more");
    type("#pattern-copy-name", "long");
    assertThat(song().part(lead).orElseThrow().find("long")).isPresent();
    press("#pattern-more");
    type("#pattern-bars", String.valueOf(2 * bars));
    press("#pattern-repeat");
    Pattern.Written grown =
        (Pattern.Written) song().part(lead).orElseThrow().pattern("long").pattern();
    assertThat(grown.bars()).isEqualTo(2 * bars);
    assertThat(grown.notes()).hasSize(2 * line().size());
    press("#pattern-more");
    press("#pattern-everywhere");
    assertThat(shell.open().view().orElseThrow().score().part(lead).orElseThrow().passages())
        .allMatch(passage -> passage.name().equals("long"));
  }

  @Test
  void anArpeggioFollowsTheChordsAndASecondOneTakesTheFreeRegister() {
    go(Stage.LINES);
    PartId lead = song().parts(Role.LINE).get(0).id();
    int parts = song().parts().size();
    press("#lines-page-arpeggio", "#arp-begin", "#arp-rate-1-16", "#arp-order-up-and-down");
    type("#arp-steps", "x.xX");
    Arpeggio rule = song().part(lead).orElseThrow().pattern("A").rule(Arpeggio.class).orElseThrow();
    assertThat(rule.rate()).isEqualTo(Arpeggio.Rate.SIXTEENTH);
    assertThat(rule.order()).isEqualTo(Arpeggio.Order.BOTH);
    assertThat(rule.steps().text()).isEqualTo("x.xX");
    shell.open().view().orElseThrow().score().part(lead).orElseThrow().passages().stream()
        .filter(passage -> passage.name().equals("A"))
        .forEach(
            passage ->
                passage
                    .notes()
                    .forEach(
                        note ->
                            assertThat(
                                    passage.chord(note.written()).chord().contains(note.key() % 12))
                                .isTrue()));
    press("#arp-second");
    assertThat(song().parts()).hasSize(parts + 1);
    type("#arp-steps", "x-q");
    assertHas(words("#arp-steps-problem"), "a figure is written with");
  }

  @Test
  void theGrammarOfALowLineIsSetAndWrittenOut() {
    go(Stage.LOW_END);
    press(
        "#low-page-bass-rules", "#low-grammar", "#low-pitches-roots-and-octaves", "#low-phrase-2");
    press("#low-slides-fifth-octave");
    LowLine rule = sub().patterns().get(0).rule(LowLine.class).orElseThrow();
    assertThat(rule.pitches()).isEqualTo(LowLine.Pitches.OCTAVES);
    assertThat(rule.phraseBars()).isEqualTo(2);
    assertThat(rule.slides()).isTrue();
    List<Integer> before = played();
    press("#low-write-out");
    assertThat(low().notes()).isNotEmpty();
    assertThat(played()).isEqualTo(before);
  }

  @Test
  void aPhraseGrowsFromItsMotifAndFollowsIt() {
    go(Stage.LINES);
    press("#lines-page-phrase", "#phrase-bars-2-bars", "#phrase-plan-a-a-b-a-");
    Pattern.Phrase phrase = phrase();
    assertThat(phrase.bars()).isEqualTo(8);
    assertThat(lookup(".arc").queryAll()).isNotEmpty();
    clickOn("#note-0");
    press("#lines-page-shape", "#octave-down");
    assertThat(phrase().motif().get(0).key()).isEqualTo(phrase.motif().get(0).key() - 12);
    press("#lines-page-phrase", "#phrase-change-a-rest");
    assertThat(phrase().units().get(1).change()).isEqualTo(PhraseUnit.Change.REST);
    press("#phrase-unlink");
    assertThat(song().parts(Role.LINE).get(0).pattern("A").pattern())
        .isInstanceOf(Pattern.Written.class);
    press("#undo", "#undo", "#undo", "#undo");
    assertThat(song().parts(Role.LINE).get(0).pattern("A").pattern())
        .isInstanceOf(Pattern.Written.class);
  }

  private Pattern.Phrase phrase() {
    return (Pattern.Phrase) song().parts(Role.LINE).get(0).pattern("A").pattern();
  }

  @Test
  void degreesAreEnteredStepByStep() {
    go(Stage.LINES);
    press("#pattern-more", "#pattern-clear");
    assertThat(line()).isEmpty();
    focus("#degree-sheet");
    push(KeyCode.PERIOD);
    push(KeyCode.DIGIT5);
    push(KeyCode.DIGIT0);
    push(KeyCode.COMMA);
    push(KeyCode.COMMA);
    push(KeyCode.DIGIT1);
    push(KeyCode.DIGIT3);
    settle();
    assertThat(line()).extracting(Note::start).containsExactly(0, 1440, 1680);
    assertThat(line()).extracting(Note::ticks).containsExactly(720, 240, 240);
    assertThat(line()).extracting(n -> n.key() % 12).containsExactly(1, 6, 9);
  }

  @Test
  void aCounterLineAndAGhostLineAreAddedBesideTheLead() {
    go(Stage.LINES);
    PartId lead = song().parts(Role.LINE).get(0).id();
    press("#lines-page-counter-line");
    press("#line-counter");
    assertThat(song().parts(Role.LINE)).hasSize(2);
    Part counter = song().parts(Role.LINE).get(1);
    assertThat(shell.open().part().id()).isEqualTo(counter.id());
    var score = shell.open().view().orElseThrow().score();
    score
        .part(counter.id())
        .orElseThrow()
        .passages()
        .forEach(
            passage ->
                assertThat(
                        score
                            .part(lead)
                            .orElseThrow()
                            .passage(passage.start())
                            .orElseThrow()
                            .name())
                    .isEqualTo("A"));
    press("#lines-page-counter-line");
    press("#line-ghost");
    assertThat(song().parts(Role.LINE)).extracting(Part::name).contains("Ghost line");
    press("#undo", "#undo");
    assertThat(song().parts(Role.LINE)).hasSize(1);
  }

  @Test
  void everyRowWithANoteIsLabelled() {
    go(Stage.LINES);
    interact(
        () -> {
          window.setWidth(1000);
          window.setHeight(700);
        });
    type("#lines-line-text", "1 b2 2 b3 3 4 #4 5 b6 6 b7 7");
    Set<String> labels =
        lookup("#degree-sheet").query().lookupAll(".mark-text").stream()
            .map(node -> ((Text) node).getText())
            .collect(Collectors.toSet());
    line()
        .forEach(
            note ->
                assertThat(labels)
                    .contains(song().brief().key().degreeOf(note.key() % 12).toString()));
  }

  @Test
  void whatIsSaidOfANoteNeverMovesTheSheet() {
    for (int width : new int[] {1280, 1100, 1000}) {
      interact(() -> window.setWidth(width));
      assertStill(Stage.LINES, "#degree-sheet", "#note-0");
      assertStill(Stage.LOW_END, "#low-end-sheet", "#sub-0");
    }
  }

  /** The sheet has one height with a note chosen and with none, once it is laid out. */
  private void assertStill(Stage stage, String sheet, String note) {
    go(stage);
    clickOn(note);
    settle();
    focus(sheet);
    push(KeyCode.ESCAPE);
    settle();
    double before = lookup(sheet).query().getLayoutBounds().getHeight();
    clickOn(note);
    settle();
    assertThat(lookup(sheet).query().getLayoutBounds().getHeight())
        .as(sheet + " at " + window.getWidth())
        .isEqualTo(before);
  }
}
