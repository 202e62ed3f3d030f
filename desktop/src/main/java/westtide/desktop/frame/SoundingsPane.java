package westtide.desktop.frame;

import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
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

/** The right of the window: what the present stage measures, and what it found. */
public final class SoundingsPane extends VBox {
  private static final String MEASURING =
      "Measuring what the song sounds like … what is found so far stands above.";

  /** Cards that are drawn; more than anybody settles at once. */
  private static final int MOST = 30;

  private static final double WIDTH = 258;
  private static final double LEAST = 210;
  private static final double STRIP = 40;
  private static final double NARROW = 1080;

  private final VBox measures = new VBox(5);
  private final VBox findings = new VBox(7);
  private final Consumer<Edit> apply;
  private final Label calm = Controls.wrapped("", "small");
  private final Label further = Controls.wrapped("", "small");
  private final Button recall;
  private final Button strip;
  private final Label count = Controls.label("0", "figure");
  private final List<Node> whole;
  private boolean narrow;

  /** A pane whose fixes are handed over as edits. */
  public SoundingsPane(Consumer<Edit> apply) {
    this.apply = apply;
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
    Button fold = Controls.action("soundings-fold", "▸", () -> fold(true));
    Controls.explained(fold, "Fold the soundings to a strip");
    fold.setAccessibleText("Fold the soundings");
    this.whole =
        List.of(
            Controls.row(6, Controls.title("Soundings"), Controls.spring(), fold),
            measures,
            scroll);
    this.strip = Controls.action("soundings-open", "◂", () -> fold(false));
    strip.setAccessibleText("Open the soundings");
    strip.setGraphic(count);
    strip.setContentDisplay(ContentDisplay.BOTTOM);
    count.setId("soundings-count");
    fold(false);
  }

  /** Folds to a strip that says how much was found, or opens again. */
  public void fold(boolean folded) {
    getChildren().setAll(folded ? List.of(strip) : whole);
    setPrefWidth(folded ? STRIP : WIDTH);
    setMinWidth(folded ? STRIP : LEAST);
    setPadding(folded ? new Insets(14, 2, 10, 2) : new Insets(14, 14, 10, 14));
  }

  /** Folds when a window becomes narrow and opens when it becomes wide. */
  public void fit(double windowWidth) {
    boolean now = windowWidth < NARROW;
    if (now != narrow) {
      narrow = now;
      fold(now);
    }
  }

  /** Shows what a stage measures of the selected part and its pattern, and what it found. */
  public void show(SongView view, Stage stage, Selection selection) {
    StageSoundings found = view.soundings().at(stage);
    List<Measure> figures = measures(view, stage, selection);
    showMeasures(figures);
    showFindings(found.findings());
    count.setText(String.valueOf(found.findings().size()));
    Controls.explained(strip, "Open the soundings: " + found.findings().size() + " findings");
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
