package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.desktop.open.NotePlace;
import westtide.review.finding.Stage;
import westtide.song.Role;
import westtide.song.edit.line.LineEdits;
import westtide.song.line.Note;
import westtide.song.pattern.LowLine;
import westtide.song.pattern.Pattern;

/** The 808 beside the kick. */
class LowEndRoomTest extends TrapSongTest {
  private LowLine rule() {
    Pattern.Following pattern =
        (Pattern.Following) song().parts(Role.SUB).get(0).patterns().get(0).pattern();
    return (LowLine) pattern.rule();
  }

  @Test
  void the808IsDrawnOnTheKickAndCanGoItsOwnWay() {
    go(Stage.LOW_END);
    assertHas(lookup("#sub-0").query().getAccessibleText(), "F♯1 at 9.1.1");
    press("#link-own-rhythm");
    assertThat(rule().rhythm()).isEqualTo(LowLine.Rhythm.DRAWN);
    type("#sub-lowest", "A0");
    assertThat(rule().lowest()).isEqualTo(21);
    assertHas(words("#low-summary"), "Hz");
    openSoundings();
    assertThat(shown("#finding-0")).isTrue();
    press("#fix-0");
    assertThat(rule().lowest()).isEqualTo(28);
  }

  @Test
  void theBarThatIsChosenIsShownWhereverOneGoes() {
    go(Stage.LOW_END);
    press("#page-bars-5-8");
    assertThat(shell.open().selection().bar()).hasValue(4);
    assertThat(lookup("#tide-bar").query().getAccessibleText())
        .isEqualTo("Chosen bar " + (shell.open().bar() + 1));
    String note =
        lookup(".note").queryAll().stream()
            .map(Node::getId)
            .filter(id -> id != null && id.startsWith("sub-"))
            .findFirst()
            .orElseThrow();
    clickOn("#" + note);
    assertThat(shell.open().selection().notes()).hasSize(1);
    assertThat(lookup(".chosen-ring").queryAll()).hasSize(1);
    interact(() -> lookup("#tide-chart").query().requestFocus());
    push(KeyCode.SHIFT, KeyCode.LEFT);
    assertThat(shell.open().selection().bar()).hasValue(3);
    push(KeyCode.SHIFT, KeyCode.P);
    waitFor(() -> shell.play().gauges().playing());
    int bar = song().brief().meter().ticksPerBar();
    assertThat(shell.play().gauges().tick()).isGreaterThanOrEqualTo(shell.open().bar() * bar);
    press("#play");
  }

  @Test
  void linesAndLowEndShowTheSameBars() {
    LineEdits lead = new LineEdits(song().parts(Role.LINE).get(0).id(), "A");
    List<Note> notes = new ArrayList<>(line());
    interact(() -> shell.open().apply(lead.replace("Two pages", new Pattern.Written(8, notes))));
    go(Stage.LINES);
    press("#page-bars-5-8");
    assertThat(shell.open().selection().bar()).hasValue(4);
    go(Stage.LOW_END);
    press("#page-bars-1-4");
    go(Stage.LINES);
    assertThat(lookup("#page-bars-1-4").<ToggleButton>query().isSelected()).isTrue();
    clickOn("#note-0");
    assertThat(shell.open().selection().notes()).containsExactly(NotePlace.of(line().get(0)));
  }
}
