package westtide.compose.groove;

import java.util.HashMap;
import java.util.Map;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Velocity;
import westtide.song.drum.DrumLane;
import westtide.song.drum.PlacedHit;
import westtide.song.pattern.Pattern;

/**
 * How a groove is played, apart from what it plays: how late each sixteenth of the bar is, and how
 * loud against the whole. Taken from one groove, it can be laid on another by amount.
 *
 * @param late mean ticks late by step of the bar
 * @param loud mean velocity by step of the bar, 1 being the mean of all
 */
public record GrooveFeel(Map<Integer, Double> late, Map<Integer, Double> loud) {
  /** Copies both. */
  public GrooveFeel {
    late = Map.copyOf(late);
    loud = Map.copyOf(loud);
  }

  /** The feel of a groove, over all its lanes of sixteenths. */
  public static GrooveFeel of(Pattern.Drums groove, Meter meter) {
    Map<Integer, Mean> late = new HashMap<>();
    Map<Integer, Mean> loud = new HashMap<>();
    Mean all = new Mean();
    int ticks = groove.ticks(meter);
    for (DrumLane lane : groove.lanes()) {
      for (PlacedHit laid : lane.laid(ticks, ticks)) {
        if (lane.grid() == StepGrid.SIXTEENTHS) {
          int step = laid.step() % meter.stepsPerBar();
          int velocity = Math.max(1, lane.velocity(laid, 0));
          late.computeIfAbsent(step, s -> new Mean())
              .add(laid.hit().nudge() + lane.late(laid.step()));
          loud.computeIfAbsent(step, s -> new Mean()).add(velocity);
          all.add(velocity);
        }
      }
    }
    Map<Integer, Double> lateness = new HashMap<>();
    Map<Integer, Double> loudness = new HashMap<>();
    late.forEach((step, mean) -> lateness.put(step, mean.value()));
    loud.forEach((step, mean) -> loudness.put(step, mean.value() / all.value()));
    return new GrooveFeel(lateness, loudness);
  }

  /**
   * A groove played with this feel.
   *
   * @param percent how far from its own feel to this one, 0 to 100
   */
  public Pattern.Drums on(Pattern.Drums groove, Meter meter, int percent) {
    if (percent < 0 || percent > 100) {
      throw new IllegalArgumentException("feel is applied by 0 to 100 %, but was " + percent);
    }
    return groove.each(
        lane -> lane.grid() == StepGrid.SIXTEENTHS ? on(lane, meter, percent / 100.0) : lane);
  }

  private DrumLane on(DrumLane lane, Meter meter, double share) {
    StepLane steps = lane.lane();
    double mean = steps.hits().stream().mapToInt(Hit::velocity).average().orElse(1);
    return lane.withLane(
        new StepLane(
            steps.length(),
            steps.hits().stream().map(hit -> on(hit, lane, meter, share, mean)).toList()));
  }

  private Hit on(Hit hit, DrumLane lane, Meter meter, double share, double mean) {
    int step = hit.step() % meter.stepsPerBar();
    if (!late.containsKey(step)) {
      return hit;
    }
    double wanted = late.get(step) - lane.feel().nudge();
    double nudge = hit.nudge() + share * (wanted - hit.nudge());
    double velocity = hit.velocity() + share * (mean * loud.get(step) - hit.velocity());
    return hit.withNudge(Hit.heldNudge(Math.round(nudge)))
        .withVelocity(Velocity.held(Math.round(velocity)));
  }

  private static final class Mean {
    private double sum;
    private int count;

    void add(double value) {
      sum += value;
      count++;
    }

    double value() {
      return sum / count;
    }
  }
}
