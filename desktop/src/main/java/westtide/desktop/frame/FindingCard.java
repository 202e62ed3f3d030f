package westtide.desktop.frame;

import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import westtide.desktop.kit.Controls;
import westtide.review.finding.Finding;
import westtide.review.finding.Severity;
import westtide.song.edit.BriefEdits;
import westtide.song.edit.Edit;

/** One finding: what it is, why it matters, where, and what can be done about it. */
final class FindingCard extends VBox {
  private final Consumer<Edit> apply;
  private final Label title = Controls.wrapped("", "strong");
  private final Label why = Controls.wrapped("", "small");
  private final Label where = Controls.wrapped("", "small");
  private final Button fix;
  private Finding finding;

  /** The card at a place in the list; what is chosen on it is handed over. */
  FindingCard(int index, Consumer<Edit> apply) {
    super(1);
    this.apply = apply;
    getStyleClass().add("finding");
    setId("finding-" + index);
    this.fix = Controls.action("fix-" + index, "", this::mend);
    fix.setWrapText(true);
    fix.setMinWidth(0);
    Button leave = Controls.action("leave-" + index, "ignore", this::leave);
    leave.getStyleClass().add("quiet");
    leave.setMinWidth(USE_PREF_SIZE);
    getChildren().addAll(title, why, where, Controls.row(4, fix, Controls.spring(), leave));
  }

  /** Shows a finding; what it said before is written over. */
  void show(Finding found) {
    finding = found;
    title.setText(found.title());
    why.setText(found.why());
    where.setText(found.where());
    fix.setText(found.fix().map(mended -> mended.label()).orElse("no fix"));
    fix.setVisible(found.fix().isPresent());
    fix.setManaged(found.fix().isPresent());
    boolean warns = getStyleClass().contains("warning");
    if (warns && found.severity() != Severity.WARNING) {
      getStyleClass().remove("warning");
    } else if (!warns && found.severity() == Severity.WARNING) {
      getStyleClass().add("warning");
    }
  }

  private void mend() {
    finding.fix().ifPresent(mended -> apply.accept(mended.edit()));
  }

  private void leave() {
    apply.accept(BriefEdits.leave(finding.id().code()));
  }
}
