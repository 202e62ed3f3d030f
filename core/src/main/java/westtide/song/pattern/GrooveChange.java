package westtide.song.pattern;

import java.util.Optional;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.drum.Restart;

/** One thing in which a groove differs from the groove it grew from. */
public sealed interface GrooveChange {
  /** Does what fits the kind of change. */
  <R> R accept(Kinds<R> kinds);

  /**
   * One answer a kind of change, so that none is forgotten.
   *
   * @param <R> what is answered
   */
  interface Kinds<R> {
    /** For a step that plays something else. */
    R step(OnStep change);

    /** For a lane that is another one. */
    R lane(WholeLane change);

    /** For a lane that is out. */
    R without(Without change);

    /** For restarts elsewhere. */
    R restarting(Restarting change);
  }

  /**
   * A step of a lane plays something else.
   *
   * @param lane the lane
   * @param step its step, from 0
   * @param hit what stands there; empty for a rest
   */
  record OnStep(LaneId lane, int step, Optional<Hit> hit) implements GrooveChange {
    /** Checks the step. */
    public OnStep {
      if (step < 0 || step >= StepLane.LONGEST) {
        throw new IllegalArgumentException(
            "a lane has steps 1 to " + StepLane.LONGEST + ", but the change is on " + (step + 1));
      }
    }

    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.step(this);
    }
  }

  /**
   * A lane is another one as a whole, or new.
   *
   * @param lane what it is
   */
  record WholeLane(DrumLane lane) implements GrooveChange {
    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.lane(this);
    }
  }

  /**
   * A lane is out.
   *
   * @param lane the lane
   */
  record Without(LaneId lane) implements GrooveChange {
    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.without(this);
    }
  }

  /**
   * Lanes restart at other places.
   *
   * @param restart where
   */
  record Restarting(Restart restart) implements GrooveChange {
    @Override
    public <R> R accept(Kinds<R> kinds) {
      return kinds.restarting(this);
    }
  }
}
