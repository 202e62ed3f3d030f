package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.List;
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
    assertThat(lookup("#findings").queryAs(Pane.class).getChildren()).hasSize(30);
    assertThat(words("#findings-further")).startsWith("and " + (found - 30) + " more");
    assertThat(shown("#findings-further")).isTrue();
    go(Stage.BRIEF);
    assertThat(shown("#findings-further")).isFalse();
  }
}
