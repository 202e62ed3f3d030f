package westtide.desktop.frame;

import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.desktop.open.Selection;
import westtide.desktop.open.SongView;
import westtide.desktop.play.LoudnessWatcher;
import westtide.review.finding.Finding;
import westtide.review.finding.Measure;
import westtide.review.finding.Stage;
import westtide.review.finding.StageSoundings;
import westtide.song.Role;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;

/**
 * The right of the window: what the present stage measures, and what it found; folded to a lead
 * line until somebody opens it.
 */
public final class SoundingsPane extends VBox {
  private static final String MEASURING =
      "Measuring what the song sounds like … what is found so far stands above.";

  /** Cards that are drawn; more than anybody settles at once. */
  private static final int MOST = 30;

  private static final double WIDTH = 258;
  private static final double LEAST = 210;
  private static final double FOLDED = 38;

  private final VBox measures = new VBox(5);
  private final VBox findings = new VBox(7);
  private final Consumer<Edit> apply;
  private final Label calm = Controls.wrapped("", "small");
  private final Label further = Controls.wrapped("", "small");
  private final Button recall;
  private final LeadLine line = new LeadLine(() -> open(true));
  private final List<Node> whole;
  private final Consumer<Boolean> told;
  private boolean opened;

  /** A pane whose fixes are handed over as edits; it tells whether it was opened or folded. */
  public SoundingsPane(Consumer<Edit> apply, Consumer<Boolean> told) {
    this.apply = apply;
    this.told = told;
    getStyleClass().add("soundings");
    findings.setId("findings");
    further.setId("findings-further");
    this.recall =
        Controls.action("recall-left", "", () -> this.apply.accept(BriefEdits.recallLeft()));
    VBox list = new VBox(7, findings, further, calm, recall);
    list.setPadding(new Insets(2));
    ScrollPane scroll = new ScrollPane(list);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, javafx.scene.layout.Priority.ALWAYS);
    Button fold = Controls.action("soundings-fold", "▸", () -> open(false));
    Controls.explained(fold, "Fold the soundings to their line");
    fold.setAccessibleText("Fold the soundings");
    VBox.setVgrow(line, javafx.scene.layout.Priority.ALWAYS);
    this.whole =
        List.of(
            Controls.row(6, Controls.title("Soundings"), Controls.spring(), fold),
            measures,
            scroll);
    stand(false);
  }

  /** Opens it, or folds it to its line. */
  public void open(boolean wide) {
    stand(wide);
    line.seen();
    told.accept(wide);
  }

  /** Whether it is open. */
  public boolean isOpen() {
    return opened;
  }

  /** Stands open or folded, as it was left the last time. */
  public void stand(boolean wide) {
    opened = wide;
    getChildren().setAll(wide ? whole : List.of(line));
    setPrefWidth(wide ? WIDTH : FOLDED);
    setMinWidth(wide ? LEAST : FOLDED);
    setPadding(wide ? new Insets(14, 14, 10, 14) : Insets.EMPTY);
  }

  /** Shows what a stage measures of the selected part and its pattern, and what it found. */
  public void show(SongView view, Stage stage, Selection selection) {
    StageSoundings found = view.soundings().at(stage);
    List<Measure> figures = measures(view, stage, selection);
    showMeasures(figures);
    showFindings(found.findings());
    line.show(stage, figures, found.findings());
    if (opened) {
      line.seen();
    }
    calm.setText(
        LoudnessWatcher.waits(view, stage)
            ? MEASURING
            : calm(figures, view.style().name().toLowerCase()));
    calm.setVisible(found.findings().isEmpty());
    calm.setManaged(found.findings().isEmpty());
    int left = view.song().dismissed().size();
    recall.setText("show the " + left + " left findings again");
    recall.setVisible(left > 0);
    recall.setManaged(left > 0);
  }

  private static String calm(List<Measure> figures, String style) {
    List<String> outside = figures.stream().filter(m -> !m.usual()).map(Measure::name).toList();
    return outside.isEmpty()
        ? "Nothing found. The bands show what is usual for " + style + "."
        : "Outside what is usual for "
            + style
            + ": "
            + String.join("; ", outside)
            + ". That may be meant; nothing else was found.";
  }

  /** Cards that are there are used again, so that an edit changes only what is said. */
  private void showFindings(List<Finding> all) {
    List<Finding> found = all.subList(0, Math.min(MOST, all.size()));
    int left = all.size() - found.size();
    further.setText("and " + left + " more, which come up as these are settled");
    further.setVisible(left > 0);
    further.setManaged(left > 0);
    while (findings.getChildren().size() > found.size()) {
      findings.getChildren().remove(findings.getChildren().size() - 1);
    }
    for (int i = 0; i < found.size(); i++) {
      if (i == findings.getChildren().size()) {
        findings.getChildren().add(new FindingCard(i, apply));
      }
      ((FindingCard) findings.getChildren().get(i)).show(found.get(i));
    }
  }

  /** Rows that are there are used again, so that an edit changes only figures. */
  private void showMeasures(List<Measure> figures) {
    while (measures.getChildren().size() > figures.size()) {
      measures.getChildren().remove(measures.getChildren().size() - 1);
    }
    for (int i = 0; i < figures.size(); i++) {
      if (i == measures.getChildren().size()) {
        measures.getChildren().add(new MeasureRow());
      }
      ((MeasureRow) measures.getChildren().get(i)).show(figures.get(i));
    }
  }

  private static List<Measure> measures(SongView view, Stage stage, Selection selection) {
    if (stage == Stage.CHORDS) {
      return view.soundings().measures(selection.progression(view.song()));
    }
    List<Role> roles =
        switch (stage) {
          case DRUMS -> List.of(Role.DRUMS);
          case LINES -> List.of(Role.LINE);
          case LOW_END -> List.of(Role.SUB, Role.BASS);
          default -> List.of();
        };
    return selection
        .part(view.song(), roles)
        .map(part -> view.soundings().measures(stage, part.id(), selection.pattern(part)))
        .orElse(view.soundings().at(stage).measures());
  }
}
