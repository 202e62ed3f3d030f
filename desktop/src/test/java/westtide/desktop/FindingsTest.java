package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;
import westtide.song.edit.form.FormEdits;
import westtide.song.form.Form;
import westtide.song.form.Section;
import westtide.song.id.SectionId;

/** What is found is fixed, or left and called back. */
class FindingsTest extends TrapSongTest {
  @Test
  void aFindingIsFixedLeftAndRecalled() {
    go(Stage.CHORDS);
    type("#chord-line", "i | V7 | II | i");
    openSoundings();
    String first = lookup("#finding-0 .label").queryAs(javafx.scene.control.Label.class).getText();
    press("#leave-0");
    assertThat(lookup("#finding-0 .label").queryAs(javafx.scene.control.Label.class).getText())
        .isNotEqualTo(first);
    press("#recall-left");
    assertThat(song().dismissed()).isEmpty();
    press("#fix-0");
    assertThat(chords()).doesNotContain("C♯7");
  }

  /** However much is found, the pane stays quick: what follows comes up as the rest is settled. */
  @Test
  void onlyTheFirstOfVeryManyAreDrawn() {
    go(Stage.FORM);
    interact(
        () -> {
          Section verse =
              song().form().sections().get(1).withId(SectionId.NEW).withMarks(List.of());
          shell.open().apply(FormEdits.replace("Long", new Form(Collections.nCopies(60, verse))));
        });
    settle();
    int found = shell.open().view().orElseThrow().soundings().at(Stage.FORM).findings().size();
    assertThat(found).isGreaterThan(30);
    openSoundings();
    assertThat(lookup("#findings").queryAs(Pane.class).getChildren()).hasSize(30);
    assertThat(words("#findings-further")).startsWith("and " + (found - 30) + " more");
    assertThat(shown("#findings-further")).isTrue();
    go(Stage.BRIEF);
    assertThat(shown("#findings-further")).isFalse();
  }

  /** What is found lights a bead on the line at the edge and moves nothing, until it was seen. */
  @Test
  void aNewFindingLightsABeadAndMovesNothing() {
    go(Stage.CHORDS);
    int before = lookup(".lead-bead").queryAll().size();
    double ladder = width("#voice-ladder");
    type("#chord-line", "i | V7 | II | i");
    assertThat(lookup(".lead-bead.new").queryAll()).hasSizeGreaterThan(before);
    assertThat(width("#voice-ladder")).isEqualTo(ladder);
    assertThat(lookup("#lead-bead-0").query().getAccessibleText()).isNotBlank();
    focus("#soundings-open");
    push(KeyCode.ENTER);
    settle();
    assertThat(shown("#finding-0")).isTrue();
    press("#soundings-fold");
    assertThat(lookup(".lead-bead").queryAll()).isNotEmpty();
    assertThat(lookup(".lead-bead.new").queryAll()).isEmpty();
    run("soundings");
    assertThat(shell.appearance().memory().soundings()).as("kept for the next time").isTrue();
  }

  private double width(String query) {
    return lookup(query).query().getLayoutBounds().getWidth();
  }

  /** Course, ribbon and lead line leave the window to the room. */
  @Test
  void theFrameTakesLessThanAQuarterOfTheWindow() {
    for (int[] size : new int[][] {{1280, 800}, {1920, 1080}}) {
      interact(
          () -> {
            window.setWidth(size[0]);
            window.setHeight(size[1]);
          });
      settle();
      double taken = area(".course") + area("#tide-chart") + area("#soundings-open");
      assertThat(taken / (size[0] * size[1])).as(size[0] + " wide").isLessThan(0.225);
    }
  }

  private double area(String query) {
    Bounds bounds = lookup(query).query().getLayoutBounds();
    return bounds.getWidth() * bounds.getHeight();
  }
}
