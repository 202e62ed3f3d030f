package westtide.rhythm;

import java.util.ArrayList;
import java.util.List;

/** Makes lanes from other lanes and from numbers. */
public final class LaneShapes {
  private LaneShapes() {}

  /** Every hit later by steps (earlier when negative); what leaves at the end comes in in front. */
  public static StepLane turned(StepLane lane, int steps) {
    return moved(lane, step -> Math.floorMod(step + steps, lane.length()));
  }

  /** The lane from its end to its start: the first step changes places with the last. */
  public static StepLane reversed(StepLane lane) {
    return moved(lane, step -> lane.length() - 1 - step);
  }

  /** The lane twice in a row; throws {@link IllegalArgumentException} past 256 steps. */
  public static StepLane doubled(StepLane lane) {
    List<Hit> hits = new ArrayList<>(lane.hits());
    lane.hits().forEach(hit -> hits.add(hit.withStep(hit.step() + lane.length())));
    return new StepLane(2 * lane.length(), hits);
  }

  /** The first half of the lane, at least one step. */
  public static StepLane halved(StepLane lane) {
    int length = Math.max(1, lane.length() / 2);
    return new StepLane(length, lane.hits().stream().filter(h -> h.step() < length).toList());
  }

  /** A hit on every so manieth step of a length, from the first on. */
  public static StepLane every(int steps, int length) {
    List<Hit> hits = new ArrayList<>();
    for (int step = 0; step < length; step += Math.max(1, steps)) {
      hits.add(Hit.of(step, Velocity.HIT));
    }
    return new StepLane(length, hits);
  }

  /**
   * Every hit nearer to its step: how late or early it is shrinks by a percentage, 0 to 100; at 100
   * all stand on the grid.
   */
  public static StepLane tightened(StepLane lane, int percent) {
    if (percent < 0 || percent > 100) {
      throw new IllegalArgumentException("hits are tightened by 0 to 100 %, but was " + percent);
    }
    return new StepLane(
        lane.length(),
        lane.hits().stream()
            .map(hit -> hit.withNudge((int) Math.round(hit.nudge() * (100 - percent) / 100.0)))
            .toList());
  }

  /**
   * Hits spread as evenly over a length as steps allow, the first on step 1: 3 over 8 is {@code
   * x..x..x.} (Toussaint, "The Euclidean algorithm generates traditional musical rhythms", 2005,
   * from memory; the same rhythms up to rotation).
   */
  public static StepLane spread(int hits, int length) {
    if (hits < 0 || hits > length) {
      throw new IllegalArgumentException(
          "0 to " + length + " hits fit into " + length + " steps, but was " + hits);
    }
    List<Hit> out = new ArrayList<>();
    for (int hit = 0; hit < hits; hit++) {
      out.add(Hit.of((hit * length + hits - 1) / hits, Velocity.HIT));
    }
    return new StepLane(length, out);
  }

  /** After how many steps lanes of these lengths all start together again. */
  public static long meeting(List<Integer> lengths) {
    long steps = 1;
    for (int length : lengths) {
      steps = steps / divisor(steps, length) * length;
    }
    return steps;
  }

  private static long divisor(long a, long b) {
    return b == 0 ? a : divisor(b, a % b);
  }

  private static StepLane moved(StepLane lane, java.util.function.IntUnaryOperator step) {
    return new StepLane(
        lane.length(),
        lane.hits().stream().map(hit -> hit.withStep(step.applyAsInt(hit.step()))).toList());
  }
}
