package westtide.desktop;

import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.review.Finding;
import westtide.review.Measure;
import westtide.review.Stage;
import westtide.review.StageSoundings;
import westtide.review.Weight;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;

/** The right of the window: what the present stage measures, and what it found. */
final class SoundingsPane extends VBox {
  private final VBox measures = new VBox(5);
  private final VBox findings = new VBox(7);
  private final Consumer<Edit> apply;
  private StageSoundings shown;

  SoundingsPane(Consumer<Edit> apply) {
    this.apply = apply;
    getStyleClass().add("soundings");
    setPrefWidth(258);
    setMinWidth(210);
    findings.setId("findings");
    findings.setPadding(new javafx.geometry.Insets(2));
    ScrollPane scroll = new ScrollPane(findings);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, javafx.scene.layout.Priority.ALWAYS);
    getChildren().addAll(Controls.title("Soundings"), measures, scroll);
  }

  void show(SongView view, Stage stage) {
    StageSoundings found = view.soundings().at(stage);
    if (found == shown) {
      return;
    }
    shown = found;
    measures.getChildren().clear();
    found.measures().forEach(measure -> measures.getChildren().add(measure(measure)));
    findings.getChildren().clear();
    for (int i = 0; i < found.findings().size(); i++) {
      findings.getChildren().add(finding(found.findings().get(i), i));
    }
    if (found.findings().isEmpty()) {
      String calm =
          "Nothing found. The bands show what is usual for "
              + view.style().name().toLowerCase()
              + ".";
      findings.getChildren().add(Controls.wrapped(calm, "small"));
    }
    if (!view.song().leftAlone().isEmpty()) {
      findings
          .getChildren()
          .add(
              Controls.action(
                  "recall-left",
                  "show the " + view.song().leftAlone().size() + " left findings again",
                  () -> apply.accept(BriefEdits.recallLeft())));
    }
  }

  private static VBox measure(Measure measure) {
    return Controls.column(
        1,
        Controls.row(
            4,
            Controls.label(measure.name()),
            Controls.spring(),
            Controls.label(measure.shown(), "strong")),
        new MeasureScale(measure));
  }

  private VBox finding(Finding finding, int index) {
    Label where = Controls.wrapped(finding.where(), "small");
    VBox card =
        Controls.column(
            1,
            Controls.wrapped(finding.title(), "strong"),
            Controls.wrapped(finding.why(), "small"),
            where);
    card.getStyleClass().add("finding");
    if (finding.weight() == Weight.WARNING) {
      card.getStyleClass().add("warning");
    }
    card.setId("finding-" + index);
    var buttons = Controls.row(4);
    finding
        .fix()
        .ifPresent(
            fix ->
                buttons
                    .getChildren()
                    .add(
                        Controls.action(
                            "fix-" + index, fix.label(), () -> apply.accept(fix.edit()))));
    var leave =
        Controls.action(
            "leave-" + index, "leave it", () -> apply.accept(BriefEdits.leave(finding.id())));
    leave.getStyleClass().add("quiet");
    buttons.getChildren().addAll(Controls.spring(), leave);
    card.getChildren().add(buttons);
    return card;
  }
}
