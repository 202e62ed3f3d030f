package westtide.desktop.drums;

import java.util.ArrayList;
import java.util.List;
import westtide.desktop.play.LoopClock;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlayedHit;

/** Takes hits while a groove loops and tells where in it they were played. */
final class Recorder {
  /** A hit as it arrived. */
  private record Arrived(LaneId lane, int velocity, long nanos) {}

  private final LoopClock clock;
  private final List<Arrived> hits = new ArrayList<>();

  /**
   * A recorder of a groove.
   *
   * @param ticks length of the groove
   * @param ticksPerNano its tempo
   */
  Recorder(int ticks, double ticksPerNano) {
    this.clock = new LoopClock(ticks, ticksPerNano);
  }

  /** The loop is seen at a tick of the groove; true when it is seen moving for the first time. */
  boolean at(double tick, long nanos) {
    return clock.at(tick, nanos);
  }

  /** Whether the loop has been seen moving. */
  boolean moving() {
    return clock.moving();
  }

  /** When the loop stood at its beginning last, on the clock of the hits. */
  long began(long nanos) {
    return clock.began(nanos);
  }

  /** A lane was struck. */
  synchronized void struck(LaneId lane, int velocity, long nanos) {
    hits.add(new Arrived(lane, velocity, nanos));
  }

  synchronized int count() {
    return hits.size();
  }

  /** Where the loop was at a time. */
  double tick(long nanos) {
    return clock.tick(nanos);
  }

  /**
   * What was played since the loop began; hits of the count-in are left out, but for those that
   * lead into the first beat.
   *
   * @param latency nanoseconds by which hits arrive after they were meant
   */
  synchronized List<PlayedHit> played(long latency) {
    return hits.stream()
        .filter(hit -> clock.counted(hit.nanos() - latency))
        .map(
            hit ->
                new PlayedHit(hit.lane(), Math.round(tick(hit.nanos() - latency)), hit.velocity()))
        .toList();
  }
}
