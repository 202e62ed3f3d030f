package westtide.song.pattern;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.rhythm.When;

/**
 * A lane written out over more steps. Hits of some passes keep their passes, though one pass of the
 * long lane now holds several of the short one.
 */
final class LaneCopies {
  private LaneCopies() {}

  static StepLane over(StepLane lane, int steps) {
    int copies = Math.max(1, steps / lane.length());
    List<Hit> out = new ArrayList<>();
    for (Hit hit : lane.over(steps)) {
      int copy = hit.step() / lane.length();
      passes(hit.when(), copy, copies).ifPresent(when -> out.add(hit.withWhen(when)));
    }
    return new StepLane(steps, out);
  }

  private static Optional<When> passes(When when, int copy, int copies) {
    return switch (when.turn()) {
      case COUNTED -> counted(when, copy, copies);
      case FIRST -> copy == 0 ? Optional.of(when) : Optional.empty();
      case LAST -> copy == copies - 1 ? Optional.of(when) : Optional.empty();
      case FILL -> Optional.of(when);
    };
  }

  /** Pass p of the long lane is pass p × copies + copy of the short one. */
  private static Optional<When> counted(When when, int copy, int copies) {
    int every = when.every();
    int on = when.on() - 1;
    if (copies % every == 0) {
      return copy % every == on ? Optional.of(when.withPasses(When.ALWAYS)) : Optional.empty();
    }
    if (every % copies == 0) {
      return copy == on % copies
          ? Optional.of(when.withPasses(When.on(on / copies + 1, every / copies)))
          : Optional.empty();
    }
    return Optional.of(when);
  }
}
