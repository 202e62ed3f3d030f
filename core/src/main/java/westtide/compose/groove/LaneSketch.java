package westtide.compose.groove;

import java.util.ArrayList;
import java.util.List;
import westtide.rhythm.StepLane;

/**
 * A lane while it is being drawn.
 *
 * @param lane its hits so far
 * @param notices what was done to it, a sentence each
 */
record LaneSketch(StepLane lane, List<String> reasons) {
  /** A figure as it is. */
  static LaneSketch of(StepLane figure) {
    return new LaneSketch(figure, List.of());
  }

  /** The sketch with other hits, and why. */
  LaneSketch with(StepLane other, String words) {
    List<String> more = new ArrayList<>(reasons);
    more.add(words);
    return new LaneSketch(other, List.copyOf(more));
  }
}
