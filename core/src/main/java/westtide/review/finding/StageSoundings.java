package westtide.review.finding;

import java.util.ArrayList;
import java.util.List;

/**
 * What one stage shows.
 *
 * @param measures figures, always the same ones
 * @param findings what to look at, warnings first
 */
public record StageSoundings(List<Measure> measures, List<Finding> findings) {
  /** Copies both lists and puts warnings first. */
  public StageSoundings {
    measures = List.copyOf(measures);
    findings =
        findings.stream()
            .sorted(java.util.Comparator.comparing(Finding::severity).reversed())
            .toList();
  }

  /** These and more of the same stage. */
  public StageSoundings and(StageSoundings more) {
    List<Measure> measured = new ArrayList<>(measures);
    measured.addAll(more.measures());
    List<Finding> found = new ArrayList<>(findings);
    found.addAll(more.findings());
    return new StageSoundings(measured, found);
  }
}
