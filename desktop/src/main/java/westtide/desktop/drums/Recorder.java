package westtide.desktop.drums;

import java.util.ArrayList;
import java.util.List;
import westtide.rhythm.Ticks;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlayedHit;

/**
 * Takes hits while a groove loops and tells where in it they were played. The place of the loop is
 * known frame by frame only roughly; the mean of all frames is what hits are measured against.
 */
final class Recorder {
  /** A hit as it arrived. */
  private record Arrived(LaneId lane, int velocity, long nanos) {}

  /** Ticks before the first beat from which a hit is meant for it. */
  private static final double LEADING_IN = Ticks.PER_STEP / 2.0;

  private final int ticks;
  private final double ticksPerNano;
  private final List<Arrived> hits = new ArrayList<>();
  private double reference;
  private long began;
  private double sum;
  private int frames;

  /**
   * A recorder of a groove.
   *
   * @param ticks length of the groove
   * @param ticksPerNano its tempo
   */
  Recorder(int ticks, double ticksPerNano) {
    this.ticks = ticks;
    this.ticksPerNano = ticksPerNano;
  }

  /** The loop is at a tick of the groove now. */
  void at(double tick, long nanos) {
    double offset = tick - nanos * ticksPerNano;
    if (frames == 0) {
      reference = offset;
      began = began(nanos);
    }
    sum += within(offset - reference + ticks / 2.0) - ticks / 2.0;
    frames++;
  }

  /** Whether the loop has been seen moving. */
  boolean moving() {
    return frames > 0;
  }

  /** When the loop stood at its beginning last, on the clock of the hits. */
  long began(long nanos) {
    return nanos - Math.round(tick(nanos) / ticksPerNano);
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
    return within(reference + sum / Math.max(1, frames) + nanos * ticksPerNano);
  }

  /**
   * What was played since the loop began; hits of the count-in are left out, but for those that
   * lead into the first beat.
   *
   * @param latency nanoseconds by which hits arrive after they were meant
   */
  synchronized List<PlayedHit> played(long latency) {
    return hits.stream()
        .filter(hit -> (hit.nanos() - latency - began) * ticksPerNano >= -LEADING_IN)
        .map(
            hit ->
                new PlayedHit(hit.lane(), Math.round(tick(hit.nanos() - latency)), hit.velocity()))
        .toList();
  }

  private double within(double tick) {
    return tick - Math.floor(tick / ticks) * ticks;
  }
}
