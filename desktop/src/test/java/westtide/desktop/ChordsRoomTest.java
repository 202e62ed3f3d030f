package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import westtide.file.SongFile;
import westtide.review.finding.Stage;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.chord.ChordArticulation;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Progression;
import westtide.song.chord.RhythmFamily;
import westtide.song.id.PartId;
import westtide.song.pattern.ChordVoicings;
import westtide.song.pattern.FollowRule;
import westtide.song.pattern.Pattern;
import westtide.theory.Chord;
import westtide.theory.NoteName;
import westtide.theory.voicing.Voicing;
import westtide.theory.voicing.VoicingKind;

/** Everything that is decided about chords, by mouse and by keyboard. */
class ChordsRoomTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(demo(0));
  }

  @BeforeEach
  void openChords() {
    go(Stage.CHORDS);
    type("#chord-line", "i9 | VImaj7 | iv7 | v7");
  }

  private Progression row() {
    return song().progression("hook");
  }

  private List<String> chords() {
    return row().chords().stream().map(Chord::toString).toList();
  }

  private List<Integer> steps() {
    return row().spans().stream().map(span -> span.ticks() / 240).toList();
  }

  private ChordArticulation articulation(int chord) {
    return row().spans().get(chord).articulation();
  }

  private FollowRule.Chords rule(String part) {
    Pattern pattern = song().part(PartId.of(part)).orElseThrow().patterns().get(0).pattern();
    return (FollowRule.Chords) ((Pattern.Following) pattern).rule();
  }

  private void undo() {
    push(KeyCode.CONTROL, KeyCode.Z);
    settle();
  }

  @Test
  void aCardsEndIsDraggedAndOneUndoTakesItBack() {
    Point2D first = middle("#chord-card-0");
    Point2D second = middle("#chord-card-1");
    double border = (first.getX() + second.getX()) / 2;
    double bar = second.getX() - first.getX();
    drag(new Point2D(border, first.getY()), new Point2D(border - bar / 4, first.getY()));
    assertThat(steps()).containsExactly(12, 20, 16, 16);
    assertThat(lookup("#chord-line").queryTextInputControl().getText()).startsWith("i9 . . VImaj7");
    undo();
    assertThat(steps()).containsExactly(16, 16, 16, 16);
  }

  @Test
  void aCardThatIsNoLongerChosenLooksAsItDid() {
    clickOn("#chord-card-0");
    assertThat(lookup("#chord-card-0").query().getStyleClass()).contains("chosen");
    clickOn("#chord-card-2");
    assertThat(lookup("#chord-card-0").query().getStyleClass()).doesNotContain("chosen");
    push(KeyCode.R);
    settle();
    assertThat(lookup("#chord-card-2").query().getStyleClass()).contains("rest");
    undo();
    assertThat(lookup(".chord-card").<Node>queryAll())
        .noneMatch(card -> card.getStyleClass().contains("rest"));
  }

  @Test
  void aCardIsDraggedToAnotherPlace() {
    drag(middle("#chord-card-0"), middle("#chord-card-2").add(30, 0));
    assertThat(chords()).containsExactly("Dmaj7", "Bm7", "F♯m9", "C♯m7");
  }

  @Test
  void cardsAreWorkedByKeyboard() {
    clickOn("#chord-card-0");
    push(KeyCode.RIGHT);
    push(KeyCode.SHIFT, KeyCode.LEFT);
    settle();
    assertThat(steps()).containsExactly(16, 15, 17, 16);
    push(KeyCode.D);
    settle();
    assertThat(chords()).containsExactly("F♯m9", "Dmaj7", "Dmaj7", "Bm7", "C♯m7");
    push(KeyCode.CONTROL, KeyCode.RIGHT);
    settle();
    assertThat(chords()).containsExactly("F♯m9", "Dmaj7", "Bm7", "Dmaj7", "C♯m7");
    push(KeyCode.DELETE);
    push(KeyCode.E);
    push(KeyCode.E);
    push(KeyCode.R);
    push(KeyCode.S);
    settle();
    assertThat(chords()).containsExactly("F♯m9", "Dmaj7", "Bm7", "C♯m7");
    assertThat(articulation(2).push()).isEqualTo(480);
    assertThat(articulation(2).rest()).isTrue();
    assertThat(articulation(2).strum()).isPresent();
    push(KeyCode.I);
    settle();
    assertThat(articulation(2).inversion()).contains(0);
  }

  @Test
  void notesAreDraggedAddedTakenAwayAndTyped() {
    clickOn("#chord-card-1");
    Voicing led = voicing(1);
    Point2D top = middle("#voice-1-" + led.top());
    drag(top, new Point2D(top.getX(), top.getY() - 30));
    Voicing moved = articulation(1).own().orElseThrow();
    assertThat(moved.top()).isGreaterThan(led.top());
    assertThat(moved.keys().subList(0, moved.keys().size() - 1))
        .isEqualTo(led.keys().subList(0, led.keys().size() - 1));
    undo();
    assertThat(articulation(1).own()).isEmpty();
    focus("#voice-ladder");
    push(KeyCode.UP);
    push(KeyCode.UP);
    push(KeyCode.SHIFT, KeyCode.UP);
    settle();
    assertThat(articulation(1).own().orElseThrow().keys().get(1)).isEqualTo(led.keys().get(1) + 1);
    push(KeyCode.DELETE);
    settle();
    assertThat(articulation(1).own().orElseThrow().keys()).hasSize(led.keys().size() - 1);
    type("#chord-notes", "D3 A3 F#4 C#5");
    assertThat(articulation(1).own().orElseThrow().keys()).containsExactly(50, 57, 66, 73);
    assertHas(words("#chord-summary"), "the root at the bottom", "the fifth above", "23 semitones");
    press("#chord-led");
    assertThat(articulation(1).own()).isEmpty();
    type("#chord-notes", "D3 H4");
    assertHas(words("#chord-notes-problem"), "column 4", "H4");
  }

  private Voicing voicing(int chord) {
    return ChordVoicings.of(rule("keys"), row()).get(chord);
  }

  @Test
  void spreadInversionPushAndStrumAreChosen() {
    clickOn("#chord-card-0");
    choose("#chord-spread", VoicingKind.OPEN.toString());
    press("#inversion-2nd", "#push-1-8-early", "#strum-down");
    assertThat(articulation(0).kind()).contains(VoicingKind.OPEN);
    assertThat(articulation(0).inversion()).contains(2);
    assertThat(articulation(0).push()).isEqualTo(480);
    type("#strum-ms", "30");
    assertThat(articulation(0).strum().orElseThrow().millis()).isEqualTo(30);
    assertThat(articulation(0).strum().orElseThrow().up()).isFalse();
    assertThat(lookup("#chord-line").queryTextInputControl().getText()).startsWith("<<i9@2 |");
  }

  @Test
  void aSuggestionIsHeardTakenAndTakenBack() {
    clickOn("#chord-card-0");
    press("#page-next-chord", "#next-hear-0");
    String wanted = words("#next-0").split(" ")[0];
    assertThat(chords()).hasSize(4);
    press("#next-take-0");
    assertThat(chords()).hasSize(5);
    assertThat(chords().get(1)).isEqualTo(wanted);
    undo();
    assertThat(chords()).hasSize(4);
  }

  @Test
  void aMoodGivesWholeProgressions() {
    press("#page-by-mood", "#mood-dreamy", "#mood-bars-8-bars");
    String line = words("#mood-line-1");
    press("#mood-take-1");
    assertThat(chords()).hasSize(8);
    assertThat(lookup("#chord-line").queryTextInputControl().getText()).isEqualTo(line);
    press("#mood-others");
    assertThat(words("#mood-line-1")).isNotEqualTo(line);
  }

  @Test
  void aRowHasARhythmARegisterACopyAndAPedal() {
    press("#page-progression");
    choose("#row-rhythm", RhythmFamily.QUICK_SWITCH.toString());
    assertThat(row().rhythm()).contains(RhythmFamily.QUICK_SWITCH.rhythm());
    type("#row-figure", "x-..x-.o");
    assertThat(row().rhythm().orElseThrow().figure().orElseThrow()).hasToString("x-..x-.o");
    type("#row-figure", "hello");
    assertHas(words("#row-figure-problem"), "written with x X o");
    push(KeyCode.ESCAPE);
    press("#register-octave-up", "#row-copy");
    assertThat(row().octave()).isEqualTo(1);
    assertThat(song().progressions()).hasSize(2);
    type("#row-name", "lift");
    assertThat(song().progressions().get(1).name()).isEqualTo("lift");
    choose("#use-verse", "lift");
    choose("#pedal-verse", "stays on F♯");
    assertThat(song().form().sections())
        .filteredOn(s -> s.word().toString().equals("verse"))
        .allMatch(s -> s.progression().equals("lift"))
        .allMatch(s -> s.pedal().equals(Optional.of(NoteName.parse("F#"))));
  }

  @Test
  void aRhythmIsDrawnByHand() {
    press("#page-progression");
    choose("#row-rhythm", RhythmFamily.PLUCKED.toString());
    clickOn("#row-hand-0");
    assertThat(figure()).as("a click only sets the cursor").isEqualTo("x-..x-..x-..x-..");
    push(KeyCode.ENTER);
    assertThat(figure()).isEqualTo("X-..x-..x-..x-..");
    push(KeyCode.SHIFT, KeyCode.RIGHT);
    settle();
    assertThat(figure()).isEqualTo("X--.x-..x-..x-..");
    for (int i = 0; i < 3; i++) {
      push(KeyCode.RIGHT);
    }
    push(KeyCode.ENTER);
    settle();
    assertThat(figure()).isEqualTo("X--xx-..x-..x-..");
    Point2D from = middle("#row-hand-8");
    drag(from, from.add(middle("#row-hand-8").subtract(middle("#row-hand-4")).multiply(0.75)));
    assertThat(figure()).isEqualTo("X--xx-..x---x-..");
    undo();
    assertThat(figure()).isEqualTo("X--xx-..x-..x-..");
  }

  @Test
  void aRhythmThatShiftsAgainstTheBarIsTold() {
    press("#page-progression");
    type("#row-figure", "x-x-|x-----------x-");
    assertHas(words("#row-figure-problem"), "column 5", "| stands after 4 of them");
    push(KeyCode.ESCAPE);
    type("#row-figure", "x--x--x--x--x--x--x--x--x--x--x--");
    assertHas(words("#message-words"), "33 steps, a bar 16", "again after 33 bars");
  }

  private String figure() {
    return row().rhythm().orElseThrow().figure().orElseThrow().text();
  }

  @Test
  void partsAreSpreadVariedAndLayered() throws Exception {
    press("#page-part");
    choose("#part-spread", VoicingKind.DROP_2);
    assertThat(rule("keys").kind()).isEqualTo(VoicingKind.DROP_2);
    type("#vary", "12");
    press("#vary-again");
    assertThat(rule("keys").vary().amount()).isEqualTo(12);
    press("#layer-add");
    assertThat(song().part(PartId.of("chords-2")).orElseThrow().rules(FollowRule.Doubling.class))
        .as("a layer plays exactly what its model plays")
        .hasSize(1);
    assertHas(words("#part-plays"), "Keys layer", "doubles Keys");
    press("#without-third");
    assertThat(rule("chords-2").layer().octaves()).as("changed, it stands alone").isEqualTo(1);
    assertThat(rule("chords-2").layer().without()).hasSize(2);
    assertThat(song().parts().stream().filter(p -> p.role() == Role.CHORDS)).hasSize(4);
    Path file = folder.resolve("layered.tide");
    Song now = song();
    SongFile.write(now, file);
    assertThat(SongFile.read(file)).isEqualTo(now);
    press("#undo", "#undo");
    assertThat(song().part(PartId.of("chords-2"))).isEmpty();
  }

  @Test
  void placedNotesAreNamedAndTaken() {
    press("#page-name-these-notes");
    type("#name-notes", "A3 C4 E4 G4");
    assertThat(words("#name-0")).isEqualTo("Am7");
    press("#name-clear");
    focus("#name-strip");
    for (int i = 0; i < 3; i++) {
      push(KeyCode.ENTER);
      push(KeyCode.RIGHT);
      push(KeyCode.RIGHT);
      push(KeyCode.RIGHT);
      push(KeyCode.RIGHT);
    }
    settle();
    assertThat(words("#name-0")).isEqualTo("Caug");
    press("#name-take-0");
    assertThat(row().spans().get(0).chord()).hasToString("Caug");
    assertThat(articulation(0).own().orElseThrow().keys()).containsExactly(60, 64, 68);
  }

  @Test
  void signsAreTypedAndShownOnTheCards() {
    type("#chord-line", "i9:12 <<VI:4 | % | iv7 - | (v7)x2");
    assertThat(row().spans()).extracting(ChordSpan::ticks).startsWith(2880, 960, 2880, 960);
    assertThat(lookup("#chord-card-5").query().getAccessibleText()).contains("rest");
    type("#chord-line", "i9:12 VI:8");
    assertHas(words("#chord-line-problem"), "column 1", "20 of its 16");
  }
}
