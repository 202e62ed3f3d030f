package westtide.desktop.chords;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import westtide.compose.chord.ChordSuggestion;
import westtide.compose.chord.NextChord;
import westtide.desktop.kit.Controls;
import westtide.rhythm.Ticks;
import westtide.song.chord.ChordSpan;
import westtide.song.edit.part.ChordEdits;
import westtide.theory.RomanNumeral;

/** What may follow the chosen chord, with the reason; heard before it is taken. */
final class NextPage implements ChordPage {
  private final ChordChoice choice;
  private final VBox list = new VBox(3);

  NextPage(ChordChoice choice) {
    this.choice = choice;
    list.setId("next-chords");
  }

  @Override
  public String title() {
    return "next chord";
  }

  @Override
  public Node node() {
    return list;
  }

  @Override
  public void show(ChordScene scene) {
    NextChord next = new NextChord(scene.brief().key(), scene.view().style(), scene.row().chords());
    List<ChordSuggestion> suggestions = next.after(scene.chord());
    list.getChildren().clear();
    for (int i = 0; i < suggestions.size(); i++) {
      list.getChildren().add(row(scene, suggestions.get(i), i));
    }
  }

  private HBox row(ChordScene scene, ChordSuggestion found, int index) {
    String numeral = RomanNumeral.of(found.chord(), scene.brief().key()).toString();
    Label name = Controls.label(found.chord() + "  " + numeral, "strong");
    name.setId("next-" + index);
    name.setMinWidth(136);
    Label function = Controls.label(found.function(), "small");
    function.setMinWidth(104);
    Label reason = Controls.wrapped(found.reason() + " Moves " + found.movement() + ".", "small");
    HBox.setHgrow(reason, Priority.ALWAYS);
    reason.setMaxWidth(Double.MAX_VALUE);
    return Controls.row(
        4,
        name,
        function,
        reason,
        Controls.action(
            "next-hear-" + index, "play", () -> choice.hearThen(List.of(found.chord()))),
        Controls.action("next-take-" + index, "append", () -> take(found)),
        Controls.action(
            "next-instead-" + index,
            "replace",
            () ->
                choice.apply(
                    choice.edits().replace(choice.chord(), found.chord()), choice.chord())));
  }

  private void take(ChordSuggestion found) {
    ChordScene scene = choice.scene();
    ChordEdits edits = choice.edits();
    int at = choice.chord();
    if (found.passing()) {
      choice.apply(edits.passing(at, found.chord(), Ticks.PER_QUARTER), at + 1);
    } else {
      choice.apply(edits.insert(at + 1, ChordSpan.of(found.chord(), scene.span().ticks())), at + 1);
    }
  }
}
