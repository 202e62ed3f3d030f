package westtide.review;

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
            .sorted(java.util.Comparator.comparing(Finding::weight).reversed())
            .toList();
  }
}
