package westtide.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import westtide.review.finding.Stage;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.form.Level;
import westtide.song.form.Section;
import westtide.song.form.SectionWord;
import westtide.song.id.PartId;

/** Sections, tanks and the tide chart. */
class FormRoomTest extends TrapSongTest {
  private Section section(int index) {
    return song().form().sections().get(index);
  }

  @Test
  void aSectionIsAddedResizedMovedRemovedAndUndone() {
    go(Stage.FORM);
    String before = song().form().toString();
    press("#form-page-section", "#section-add");
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
    type("#form-line", "intro 4, hook 0");
    assertHas(words("#form-line-problem"), "column 10", "1 to 128");
    push(KeyCode.ESCAPE);
    press("#form-page-plans", "#plan-hook-first");
    assertHas(words("#plan-now"), "intro 4, chorus 8");
    assertHas(words("#plan-then"), "hook 16, verse 16");
    assertHas(words("#plan-changes"), "verse is new", "chorus goes");
    assertThat(song().form()).hasToString("intro 4, chorus 8, breakdown 8, drop 16");
    press("#plan-lay");
    assertThat(song().form().toString()).startsWith("hook 16, verse 16");
  }

  @Test
  void wordsOfOnesOwnAndRepeatsAreTypedAndKept() {
    go(Stage.FORM);
    type("#form-line", "intro 8, main 8 x2, part C 8, outro 4");
    assertThat(song().form()).hasToString("intro 8, main 8, main 8, part C 8, outro 4");
    assertThat(section(1).word()).isEqualTo(SectionWord.HOOK);
    assertThat(section(3).word()).isEqualTo(SectionWord.BRIDGE);
  }

  @Test
  void aSectionIsNamedRepeatedDoubledAndRearrangedFromItsPanel() {
    go(Stage.FORM);
    String before = song().form().toString();
    press("#form-page-section");
    type("#section-name", "Lantern");
    assertThat(song().form().toString()).startsWith("intro 8, Lantern 16, verse");
    press("#section-repeat");
    assertThat(song().form().toString()).startsWith("intro 8, Lantern 16, Lantern 16, verse");
    press("#section-double");
    assertThat(song().form().toString()).startsWith("intro 8, Lantern 32, Lantern 16, verse");
    press("#scope-all-sections", "#section-strip");
    PartId drums = song().parts(Role.DRUMS).get(0).id();
    assertThat(song().form().sections())
        .allMatch(s -> s.cells(drums).stream().allMatch(c -> c.level() == Level.OUT));
    press("#scope-this-section");
    choose("#section-model", "verse");
    press("#section-like");
    for (Part part : song().parts()) {
      assertThat(section(1).cell(part.id(), 0)).isEqualTo(section(3).cell(part.id(), 0));
    }
    press("#undo", "#undo", "#undo", "#undo", "#undo");
    assertThat(song().form()).hasToString(before);
  }

  @Test
  void aClickChoosesATankADragAndKeysSetItsWater() {
    go(Stage.FORM);
    Node tank = lookup("#tank-0-808-0").query();
    var bounds = tank.localToScreen(tank.getLayoutBounds());
    Level before = section(0).cell(PartId.of("808"), 0).level();
    clickOn(new Point2D(bounds.getCenterX(), bounds.getMinY() + 3));
    settle();
    assertThat(section(0).cell(PartId.of("808"), 0).level()).isEqualTo(before);
    assertHas(words("#tank-summary"), "808 in the intro");
    Point2D hint = new Point2D(bounds.getCenterX(), bounds.getMaxY() - bounds.getHeight() * 0.3);
    drag(new Point2D(bounds.getCenterX() + 9, bounds.getMinY() + 3), hint);
    assertThat(section(0).cell(PartId.of("808"), 0).level()).isEqualTo(Level.HINT);
    push(KeyCode.PAGE_UP);
    settle();
    assertThat(section(0).cell(PartId.of("808"), 0).level()).isEqualTo(Level.HALF);
    push(KeyCode.RIGHT);
    push(KeyCode.DIGIT0);
    settle();
    assertThat(section(1).cell(PartId.of("808"), 0).level()).isEqualTo(Level.OUT);
    assertHas(words("#tank-summary"), "808 in the hook: out");
    type("#cell-split", "5");
    assertThat(section(1).cells(PartId.of("808"))).hasSize(2);
    type("#cell-split", "5");
    assertHas(words("#cell-split-problem"), "808 already changes at bar 5");
    push(KeyCode.ESCAPE);
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
}
