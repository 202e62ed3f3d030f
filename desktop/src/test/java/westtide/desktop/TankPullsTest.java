package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;
import westtide.review.form.Energy;
import westtide.score.Score;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.form.FormEdits;
import westtide.song.edit.part.PartEdits;
import westtide.song.form.Cell;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.Transition;
import westtide.song.form.TransitionKind;
import westtide.song.id.PartId;

/** What is dragged on the form: walls, heads, signs and the energy a section is to have. */
class TankPullsTest extends TrapSongTest {
  private static final PartId KEYS = PartId.of("keys");

  @BeforeEach
  void inTheForm() {
    go(Stage.FORM);
  }

  private Section section(int index) {
    return song().form().sections().get(index);
  }

  private Bounds place(String query) {
    Node node = lookup(query).query();
    return node.localToScreen(node.getLayoutBounds());
  }

  private static Point2D along(Bounds tank, double share) {
    double x = tank.getMinX() + share * tank.getWidth();
    return new Point2D(Math.min(x, tank.getMaxX() - 2), tank.getMinY() + 4);
  }

  /** A wall pulled inwards from either end of a section of 16 bars, and a change moved on. */
  @Test
  void aPartEntersLateLeavesEarlyAndItsChangeIsMoved() {
    interact(() -> shell.open().apply(FormEdits.level(section(1).id(), KEYS, 0, 0, Level.FULL)));
    settle();
    Bounds tank = place("#tank-1-keys-0");
    drag(new Point2D(tank.getMinX() + 1, tank.getMinY() + 4), along(tank, 0.25));
    assertThat(section(1).cell(KEYS, 3).level()).isEqualTo(Level.OUT);
    assertThat(section(1).cell(KEYS, 4).level()).isEqualTo(Level.FULL);
    Bounds late = place("#tank-1-keys-4");
    drag(new Point2D(late.getMaxX() - 1, late.getMinY() + 4), along(tank, 0.75));
    assertThat(section(1).cell(KEYS, 11).level()).isEqualTo(Level.FULL);
    assertThat(section(1).cell(KEYS, 12).level()).isEqualTo(Level.OUT);
    Bounds change = place("#tank-1-keys-4");
    drag(new Point2D(change.getMinX() + 1, change.getMinY() + 4), along(tank, 0.5));
    assertThat(section(1).cells(KEYS)).extracting(Cell::fromBar).containsExactly(0, 8, 12);
    press("#undo", "#undo", "#undo");
    assertThat(section(1).cells(KEYS)).hasSize(1);
  }

  /** A frame drawn with Ctrl chooses, whatever lies below it, and every value is for all chosen. */
  @Test
  void whatIsFramedIsChangedTogetherInOneStep() {
    Song before = song();
    Bounds keys = place("#tank-1-keys-0");
    Bounds next = place("#tank-2-keys-0");
    hold(KeyCode.CONTROL);
    drag(along(keys, 0.2), new Point2D(next.getCenterX(), keys.getMaxY() - 3));
    letGo(KeyCode.CONTROL);
    settle();
    assertThat(song()).as("a frame changes nothing").isSameAs(before);
    type("#cell-octave", "1");
    assertThat(section(1).cell(KEYS, 0).sound().octave()).isEqualTo(1);
    assertThat(section(2).cell(KEYS, 0).sound().octave()).isEqualTo(1);
    assertThat(section(3).cell(KEYS, 0).sound().octave()).isZero();
    type("#cell-low-pass", "900");
    assertThat(section(1).cell(KEYS, 0).sound().lowPass()).isEqualTo(900);
    assertThat(section(2).cell(KEYS, 0).sound().lowPass()).isEqualTo(900);
    press("#undo", "#undo");
    assertThat(song()).isEqualTo(before);
  }

  @Test
  void plusChangesAtTheCursorAndMinusGoesOnAsBefore() {
    Bounds tank = place("#tank-1-keys-0");
    clickOn(along(tank, 0.5 + 0.5 / 64));
    push(KeyCode.PLUS);
    settle();
    assertThat(section(1).cells(KEYS)).extracting(Cell::fromBar).contains(8);
    push(KeyCode.SHIFT, KeyCode.RIGHT);
    push(KeyCode.SHIFT, KeyCode.RIGHT);
    push(KeyCode.PLUS);
    settle();
    assertThat(section(1).cells(KEYS)).anyMatch(cell -> cell.isAt(8, 2));
    push(KeyCode.MINUS);
    settle();
    assertThat(section(1).cells(KEYS)).noneMatch(cell -> cell.isAt(8, 2));
  }

  @Test
  void theEdgeOfAHeadSetsTheLengthAndAFieldTakesBeats() {
    double perBar = place("#tank-1-keys-0").getWidth() / section(1).bars();
    Bounds tank = place("#tank-1-keys-0");
    Bounds head = place("#section-1");
    double y = head.getCenterY();
    drag(new Point2D(tank.getMaxX() - 1, y), new Point2D(tank.getMaxX() - 4 * perBar, y));
    assertThat(section(1).bars()).isEqualTo(12);
    press("#undo");
    assertThat(section(1).bars()).isEqualTo(16);
    clickOn("#section-1");
    press("#form-page-section");
    type("#section-length", "6 beats");
    assertThat(section(1).beats(song().brief().meter())).isEqualTo(6);
    assertHas(lookup("#section-1").query().getAccessibleText(), "6 beats");
    assertThat(song().form().label(1)).isEqualTo("hook");
    assertThat(lookup("#form-line").queryTextInputControl().getText())
        .startsWith("intro 8, hook 6 beats");
    type("#section-length", "no beats");
    assertHas(words("#section-length-problem"), "bars such as 16", "6 beats", "no beats");
    push(KeyCode.ESCAPE);
  }

  @Test
  void aSignIsPulledLongerAndWeakerAndDeleted() {
    Transition riser = Transition.of(TransitionKind.RISER, 4);
    interact(
        () ->
            shell
                .open()
                .apply(FormEdits.transitions(section(1).id(), 0, java.util.List.of(riser))));
    settle();
    Bounds sign = place("#sign-1-0-riser");
    double perBeat = place("#tank-1-keys-0").getWidth() / (4.0 * section(1).bars());
    Point2D from = new Point2D(sign.getMaxX() - 3, sign.getCenterY());
    drag(from, from.add(-4 * perBeat, 30));
    Transition pulled = section(1).entry().get(0);
    assertThat(pulled.beats()).isEqualTo(8);
    assertThat(pulled.depth()).isEqualTo(70);
    clickOn(middle("#sign-1-0-riser"));
    push(KeyCode.DELETE);
    settle();
    assertThat(section(1).entry()).isEmpty();
  }

  /** The way offered is only taken when it is pressed, and it comes nearer to what was asked. */
  @Test
  void anEnergyIsAskedForByDraggingItsLine() {
    double was = energy(song(), 2);
    Bounds line = place("#tide-target-2");
    Point2D from = new Point2D(line.getCenterX(), line.getCenterY());
    Song before = song();
    drag(from, from.add(0, was > 50 ? 25 : -25));
    waitFor(() -> lookup("#energy-take").tryQuery().isPresent());
    assertThat(song()).isEqualTo(before);
    press("#energy-take");
    assertThat(energy(song(), 2)).isNotEqualTo(was);
    press("#undo");
    assertThat(song()).isEqualTo(before);
  }

  private static double energy(Song song, int place) {
    int bars = song.form().sections().get(place).bars();
    return Energy.of(Score.of(song)).mean(song.form().startBar(place), bars);
  }

  @Test
  void anotherFormStandsBesideAndAPartIsTakenOver() {
    String first = song().form().toString();
    press("#alternative-add");
    type("#form-line", "intro 4, hook 16");
    press("#alternative-1");
    assertThat(song().form()).hasToString(first);
    press("#alternative-2");
    assertThat(song().form()).hasToString("intro 4, hook 16");
    assertThat(song().alternatives().count()).isEqualTo(2);
    press("#alternative-remove");
    assertThat(song().form()).hasToString(first);
  }

  /** Sixteen parts and twelve sections stand in the usual window once the page is folded. */
  @Test
  void sixteenPartsAndTwelveSectionsAreSeenAtOnce() {
    interact(
        () -> {
          for (int i = 0; song().parts().size() < 16; i++) {
            PartId more = PartId.of("more" + i);
            shell.open().apply(new PartEdits(KEYS).duplicate(more));
          }
        });
    type(
        "#form-line",
        "intro 8, hook 16, verse 16, pre-hook 8, hook 16, verse 16, hook 16, bridge 8, tag 6 beats,"
            + " gap 2 beats, hook 16, outro 8");
    press("#form-page-tank");
    assertThat(song().form().sections()).hasSize(12);
    for (int section = 0; section < 12; section++) {
      for (Part part : song().parts()) {
        String tank = "#tank-" + section + "-" + part.id() + "-0";
        assertThat(shown(tank)).as(tank).isTrue();
      }
    }
  }
}
