package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.crate.Crate;
import westtide.crate.CrateLoop;
import westtide.file.sound.SoundWriter;
import westtide.review.finding.Stage;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Song;
import westtide.song.found.Fit;
import westtide.song.found.FoundSound;
import westtide.song.found.Origin;
import westtide.song.pattern.Pattern;

/** A loop in the window: dropped, looked at, fitted, cut, typed, written down, undone. */
class FoundTest extends WindowTest {
  @Override
  void begin() {
    shell.begin(demo(0));
  }

  private Path loop() throws Exception {
    CrateLoop loop = Crate.of(10).loop();
    Path file = folder.resolve("harbour.wav");
    SoundWriter.write(loop.recording(), Origin.UNKNOWN, file);
    return file;
  }

  private List<Part> loops() {
    return song().parts(Role.FOUND);
  }

  private FoundSound sound() {
    return loops().get(0).found().orElseThrow();
  }

  private void dropALoop() throws Exception {
    Path file = loop();
    interact(() -> shell.bringIn(file));
    waitFor(() -> !loops().isEmpty());
    settle();
  }

  @Test
  void aLoopThatIsDroppedBecomesAPart() throws Exception {
    Song before = song();
    dropALoop();
    assertThat(loops()).hasSize(1);
    assertThat(loops().get(0).name()).isEqualTo("harbour");
    assertThat(lookup("#loop-sheet").query().isVisible()).isTrue();
    assertThat(lookup("#found-state").queryLabeled().getText()).contains("not cleared yet");
    interact(() -> shell.open().undo());
    assertThat(song()).isEqualTo(before);
  }

  @Test
  void theNextStepLeadsToOneTempoKeyAndChords() throws Exception {
    dropALoop();
    press("#fit-repitch");
    interact(
        () ->
            shell
                .open()
                .apply(westtide.song.edit.BriefEdits.key(westtide.theory.Key.parse("A minor"))));
    press("#found-song-to-loop");
    assertThat(song().brief().tempo().bpm())
        .isCloseTo(sound().countedBpm(), org.assertj.core.data.Offset.offset(0.01));
    Song inKey = song();
    press("#found-chords");
    waitFor(() -> !song().equals(inKey));
    assertThat(song().progressions().get(0).spans()).hasSize(Math.min(16, sound().bars()));
  }

  @Test
  void itIsStretchedAndMovedByItsRule() throws Exception {
    dropALoop();
    press("#fit-stretch");
    assertThat(sound().fit().way()).isEqualTo(Fit.Way.STRETCH);
    clickOn("#fit-sheet");
    push(KeyCode.RIGHT);
    push(KeyCode.RIGHT);
    assertThat(sound().fit().semitones()).isEqualTo(2);
    assertThat(lookup("#found-cost").queryLabeled().getText()).contains("+2 semitones");
  }

  @Test
  void piecesAreCutJoinedAndTyped() throws Exception {
    dropALoop();
    press("#found-beats");
    int pieces = sound().pieces();
    assertThat(pieces).isEqualTo(4 * sound().bars());
    clickOn("#piece-2");
    push(KeyCode.DELETE);
    assertThat(sound().pieces()).isEqualTo(pieces - 1);
    javafx.geometry.Bounds sheet =
        lookup("#loop-sheet")
            .query()
            .localToScreen(lookup("#loop-sheet").query().getLayoutBounds());
    Point2D inside = new Point2D(sheet.getCenterX() + 31, sheet.getCenterY() + 20);
    doubleClickOn(inside);
    waitFor(() -> sound().pieces() == pieces);
    press("#found-pattern-pieces");
    type("#found-line", "A ,B C:C . | D+5 -");
    Pattern.Written line = (Pattern.Written) loops().get(0).pattern("pieces").pattern();
    assertThat(line.notes()).hasSize(5);
    assertThat(sound().takes()).hasSize(2);
    type("#found-line", "A ,");
    assertThat(((Pattern.Written) loops().get(0).pattern("pieces").pattern()).notes())
        .as("what is not understood changes nothing")
        .hasSize(5);
  }

  @Test
  void anotherTempoSaysWhatItDoesToTheLoop() throws Exception {
    dropALoop();
    press("#fit-repitch");
    interact(
        () ->
            shell.open().apply(westtide.song.edit.BriefEdits.tempo(westtide.rhythm.Tempo.of(120))));
    settle();
    String moved =
        String.format(
            java.util.Locale.ROOT, "%.2f", Math.abs(sound().semitones(song().brief().tempo())));
    waitFor(() -> words("#message-words").contains(moved + " semitones from"));
    assertThat(words("#message-words")).contains(loops().get(0).name());
  }

  @Test
  void whereItIsFromIsWrittenDown() throws Exception {
    dropALoop();
    press("#found-origin");
    type("#origin-source", "Harbour tapes");
    press("#origin-cleared");
    press("#origin-take");
    assertThat(sound().origin()).isEqualTo(new Origin("Harbour tapes", "", "", "", true));
  }

  @Test
  void lowsStandBesideIt() throws Exception {
    dropALoop();
    press("#found-lows");
    assertThat(loops()).hasSize(2);
    assertThat(loops().get(0).mix().lowCut()).isEqualTo(140);
    interact(() -> shell.go(Stage.FORM));
    settle();
    assertThat(shell.open().song().parts(Role.FOUND)).hasSize(2);
  }
}
