package westtide.review.lines;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Severity;
import westtide.song.edit.Edit;

/** Findings in the order they are told; the same slip of a pattern is told once. */
final class FoundOnce {
  private final List<Finding> out = new ArrayList<>();
  private final Set<FindingId> found = new HashSet<>();

  /** Whether nothing was told under an id yet. */
  boolean isNew(FindingId id) {
    return !found.contains(id);
  }

  /** Tells something small with its mend. */
  void note(FindingId id, String title, String where, String why, String label, Edit edit) {
    add(new Finding(id, Severity.NOTE, title, where, why, Optional.of(new Fix(label, edit))));
  }

  void add(Finding finding) {
    if (found.add(finding.id())) {
      out.add(finding);
    }
  }

  List<Finding> all() {
    return List.copyOf(out);
  }
}
