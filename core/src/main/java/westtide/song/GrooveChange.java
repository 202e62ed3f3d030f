package westtide.song;

import java.util.Optional;
import westtide.rhythm.Hit;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.drum.Restart;

/** One thing in which a groove differs from the groove it grew from. */
public sealed interface GrooveChange {
  /**
   * A step of a lane plays something else.
   *
   * @param lane the lane
   * @param step its step, from 0
   * @param hit what stands there; empty for a rest
   */
  record OnStep(LaneId lane, int step, Optional<Hit> hit) implements GrooveChange {}

  /**
   * A lane is another one as a whole, or new.
   *
   * @param lane what it is
   */
  record WholeLane(DrumLane lane) implements GrooveChange {}

  /**
   * A lane is out.
   *
   * @param lane the lane
   */
  record Without(LaneId lane) implements GrooveChange {}

  /**
   * Lanes restart at other places.
   *
   * @param restart where
   */
  record Restarting(Restart restart) implements GrooveChange {}
}
