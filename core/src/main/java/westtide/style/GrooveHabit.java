package westtide.style;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import westtide.song.drum.LaneId;

/**
 * What drums a style plays.
 *
 * @param bars length of its groove
 * @param lanes what each lane plays
 * @param thin lanes left out where the groove is thinner
 * @param fills one-bar fills, each a lane text by lane
 * @param hitsPerBar usual number of hits in a full bar
 * @param schools which side it takes where practitioners disagree
 */
public record GrooveHabit(
    int bars,
    Map<LaneId, LaneHabit> lanes,
    List<LaneId> thin,
    List<Map<LaneId, String>> fills,
    Span hitsPerBar,
    Schools schools) {
  /**
   * Questions about drums that are answered in two ways.
   *
   * @param full whether kick and backbeat are all at full velocity; otherwise they are shaped
   * @param throughWritten whether every eight bars differ; otherwise one groove is kept and lanes
   *     come and go
   * @param vary how much the velocities of copies differ, 0 to 40; 0 for identical copies
   */
  public record Schools(boolean full, boolean throughWritten, int vary) {}

  /** Copies, keeping the order. */
  public GrooveHabit {
    lanes = Collections.unmodifiableMap(new LinkedHashMap<>(lanes));
    thin = List.copyOf(thin);
    fills = List.copyOf(fills);
  }
}
