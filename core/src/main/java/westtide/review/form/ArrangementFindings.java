package westtide.review.form;

import java.util.ArrayList;
import java.util.List;
import westtide.review.finding.Finding;
import westtide.score.Score;
import westtide.style.Style;

/**
 * What a listener would miss in an arrangement: boundaries that nobody hears coming, too much or
 * too little that changes, a main part that is gone. Figures are common practice.
 */
final class ArrangementFindings {
  private final PlacedSections sections;
  private final BoundaryFindings boundaries;
  private final ChangeFindings changes;
  private final OrderFindings order;
  private final PartFindings parts;

  ArrangementFindings(Score score, Style style, PlacedSections sections) {
    this.sections = sections;
    this.boundaries = new BoundaryFindings(sections, style);
    this.changes = new ChangeFindings(score, sections, style);
    this.order = new OrderFindings(sections, style);
    this.parts = new PartFindings(sections, style);
  }

  List<Finding> all() {
    List<Finding> out = new ArrayList<>();
    for (int place = 0; place < sections.count(); place++) {
      out.addAll(boundaries.at(place));
      changes.still(place).ifPresent(out::add);
      order.at(place).ifPresent(out::add);
      changes.uneven(place).ifPresent(out::add);
      changes.returns(place).ifPresent(out::add);
    }
    out.addAll(parts.all());
    order.longIntro().ifPresent(out::add);
    return out;
  }
}
