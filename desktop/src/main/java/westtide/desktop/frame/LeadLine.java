package westtide.desktop.frame;

import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.text.Text;
import westtide.desktop.kit.Controls;
import westtide.desktop.kit.Drawing;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Measure;
import westtide.review.finding.Severity;
import westtide.review.finding.Stage;

/**
 * The soundings folded to a lead line at the edge of the window: a mark a measure, as far to the
 * side as the figure is from what is usual, and a bead a finding, filled while it is new. A click,
 * Enter or Space opens them; nothing else moves when something is found.
 */
final class LeadLine extends Drawing {
  private static final double TOP = 18;
  private static final double WEIGHT = 20;
  private static final double REACH = 12;
  private static final double USUAL = 7;
  private static final double BEAD = 8;

  /** Beads that are drawn one by one; more are told by the number on the last. */
  private static final int MOST = 6;

  private final Map<Stage, Set<FindingId>> seen = new EnumMap<>(Stage.class);
  private Optional<Tooltip> told = Optional.empty();
  private List<Measure> measures = List.of();
  private List<Finding> findings = List.of();
  private Set<FindingId> known = Set.of();

  /** A line that opens the soundings. */
  LeadLine(Runnable open) {
    super("Open the soundings", true);
    setId("soundings-open");
    setAccessibleRole(AccessibleRole.BUTTON);
    getStyleClass().add("lead-line");
    setOnMouseEntered(event -> tell());
    setOnMouseClicked(event -> open.run());
    setOnKeyPressed(event -> opened(event, open));
  }

  /** What is drawn in words, made when the pointer comes. */
  private void tell() {
    if (told.isEmpty()) {
      told = Optional.of(new Tooltip());
      Tooltip.install(this, told.get());
    }
    told.get().setText(words());
  }

  private static void opened(KeyEvent event, Runnable open) {
    if (event.getCode() == KeyCode.ENTER || event.getCode() == KeyCode.SPACE) {
      event.consume();
      open.run();
    }
  }

  /** Shows what a stage measures and found; what was not there the last time is lit. */
  void show(Stage stage, List<Measure> figures, List<Finding> found) {
    measures = figures;
    findings = found;
    Set<FindingId> ids = found.stream().map(Finding::id).collect(Collectors.toSet());
    known = seen.computeIfAbsent(stage, first -> new HashSet<>(ids));
    known.retainAll(ids);
    setAccessibleText("Open the soundings: " + count(found.size()));
    redraw();
  }

  /** What is found now has been seen. */
  void seen() {
    findings.forEach(finding -> known.add(finding.id()));
    redraw();
  }

  private static String count(int findings) {
    return switch (findings) {
      case 0 -> "nothing found";
      case 1 -> "1 finding";
      default -> findings + " findings";
    };
  }

  private String words() {
    String figures =
        measures.stream()
            .map(m -> m.name() + " " + m.shown() + (m.usual() ? "" : ", not usual"))
            .collect(Collectors.joining("\n"));
    String found =
        findings.stream().limit(MOST).map(Finding::title).collect(Collectors.joining("\n"));
    return (figures + "\n" + (found.isEmpty() ? count(0) : found)).strip();
  }

  @Override
  protected void draw() {
    double x = Math.round(getWidth() / 2);
    double foot = getHeight() - TOP - WEIGHT;
    line(x, TOP, x, foot, "lead");
    polygon(new double[] {x - 6, foot, x + 6, foot, x, foot + WEIGHT}, "lead-weight");
    int beads = Math.min(MOST, findings.size());
    double step = (foot - TOP) / (measures.size() + beads + 1);
    double y = TOP;
    for (Measure measure : measures) {
      y += step;
      drawMeasure(measure, x, y);
    }
    for (int i = 0; i < beads; i++) {
      y += step;
      drawBead(i, x, y);
    }
    ring(3, 6, getWidth() - 6, getHeight() - 12);
  }

  /** The middle of what is usual lies on the line; its ends at one distance from it. */
  private void drawMeasure(Measure measure, double x, double y) {
    double low = measure.share(measure.expected().low());
    double high = measure.share(measure.expected().high());
    double half = Math.max(1e-6, (high - low) / 2);
    double off = USUAL * (measure.share(measure.value()) - (low + high) / 2) / half;
    double at = x + Math.max(-REACH, Math.min(REACH, off));
    line(x - REACH - 3, y, x + REACH + 3, y, "measure-scale");
    line(x - USUAL, y, x + USUAL, y, "measure-usual");
    Node mark =
        polygon(MeasureScale.mark(at, y), "measure-mark", measure.usual() ? "usual" : "unusual");
    named(mark, "lead-" + Controls.idOf(measure.name()), measure.name() + " " + measure.shown());
  }

  private void drawBead(int index, double x, double y) {
    Finding finding = findings.get(index);
    int beyond = findings.size() - MOST;
    boolean last = index == MOST - 1 && beyond > 0;
    Node bead =
        dot(
            x,
            y,
            last ? BEAD + 2 : BEAD,
            "lead-bead",
            finding.severity() == Severity.WARNING ? "warning" : "remark",
            known.contains(finding.id()) ? "seen" : "new");
    named(bead, "lead-bead-" + index, finding.title());
    if (last) {
      Text more = text(x, y, "+" + beyond, "lead-count");
      more.setX(x - more.getLayoutBounds().getWidth() / 2);
      more.setY(y + more.getLayoutBounds().getHeight() / 4);
    }
  }
}
