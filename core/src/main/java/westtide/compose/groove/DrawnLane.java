package westtide.compose.groove;

import java.util.List;
import westtide.song.drum.DrumLane;

/**
 * A lane as it was drawn for a style, and in what it departs from the style's figures.
 *
 * @param lane the lane
 * @param notices what was done, a few words each; empty where a figure was taken as it is
 */
public record DrawnLane(DrumLane lane, List<String> reasons) {
  /** Copies the words. */
  public DrawnLane {
    reasons = List.copyOf(reasons);
  }

  /** What was done, in one sentence. */
  public String words() {
    return reasons.isEmpty() ? "a figure of the style as it is" : String.join("; ", reasons);
  }
}
