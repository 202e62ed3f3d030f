package westtide.review.drums;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.Fix;
import westtide.review.finding.Severity;
import westtide.rhythm.Hit;
import westtide.rhythm.When;
import westtide.score.Passage;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.edit.drum.DrumEdits;

/**
 * Hits whose condition never comes: they wait for a repeat of their lane that no section reaches,
 * because it is too short or the lanes restart before.
 */
final class NeverFindings {
  private record Played(LaneId lane, int step) {}

  private final StyledGroove view;
  private final Set<Played> played = new HashSet<>();
  private boolean plays;

  /** Of a groove, in the passages of its part that play it. */
  NeverFindings(StyledGroove view, ScoredPart part) {
    this.view = view;
    for (Passage passage : part.passages()) {
      if (passage.name().equals(view.edits().pattern())) {
        plays = true;
        passage.notes().forEach(this::add);
      }
    }
  }

  private void add(ScoredNote note) {
    note.struck().ifPresent(s -> played.add(new Played(s.lane(), note.source().index())));
  }

  List<Finding> take() {
    List<Finding> out = new ArrayList<>();
    if (!plays) {
      return out;
    }
    for (DrumLane lane : view.groove().lanes()) {
      for (Hit hit : lane.lane().hits()) {
        boolean waits = hit.when().turn() == When.Turn.COUNTED && hit.when().every() > 1;
        boolean sure = hit.when().percent() == 100 && lane.accents().isEmpty();
        if (waits && sure && !played.contains(new Played(lane.id(), hit.step()))) {
          out.add(never(lane, hit));
        }
      }
    }
    return out;
  }

  private Finding never(DrumLane lane, Hit hit) {
    DrumEdits edits = view.edits();
    LaneId id = lane.id();
    return new Finding(
        view.id(Check.DRUMS_NEVER).at(id.code(), hit.step()),
        Severity.WARNING,
        id + " on step " + (hit.step() + 1) + " never plays",
        view.where(hit.step() * lane.grid().ticks()),
        "It waits for repeat "
            + hit.when().on()
            + " of "
            + hit.when().every()
            + "; the sections are over, or the lanes restart, before it comes.",
        Optional.of(
            new Fix(
                "play it on every repeat",
                edits.change(
                    "Play " + id + " on every repeat",
                    id,
                    hit.step(),
                    h -> h.withWhen(h.when().withPasses(When.ALWAYS))))));
  }
}
