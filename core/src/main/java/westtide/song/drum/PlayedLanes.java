package westtide.song.drum;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import westtide.rhythm.Hit;
import westtide.rhythm.Quantise;
import westtide.rhythm.Roll;
import westtide.rhythm.StepLane;
import westtide.rhythm.Velocity;

/**
 * Makes lanes of what was played: each hit goes to the nearest step as it sounds with swing.
 * Several hits of one lane in one step become a roll, or a flam when a soft one comes just before.
 *
 * @param quantise the grid, its swing and how far hits go to it
 * @param steps steps of the groove; hits beyond them come round again
 */
public record PlayedLanes(Quantise quantise, int steps) {
  private static final int FLAM = 80;

  /** Ticks within which two hits are layers of one. */
  private static final int LAYERED = 20;

  private static final int MOST_STROKES = 8;

  private record Placed(PlayedHit hit, Quantise.Placed at) {}

  /** Plain lanes of the grid, in the order in which they were first struck. */
  public List<DrumLane> of(List<PlayedHit> played) {
    return of(played, id -> DrumLane.of(id, StepLane.empty(steps)).withGrid(quantise.grid()));
  }

  /**
   * Lanes in the order in which they were first struck.
   *
   * @param into the lane that hits of a name go into: hits are measured against its own swing and
   *     its own lateness, and it keeps all but its steps
   */
  public List<DrumLane> of(List<PlayedHit> played, Function<LaneId, DrumLane> into) {
    Map<LaneId, List<PlayedHit>> byLane = new LinkedHashMap<>();
    played.stream()
        .sorted(Comparator.comparingLong(PlayedHit::tick))
        .forEach(hit -> byLane.computeIfAbsent(hit.lane(), id -> new ArrayList<>()).add(hit));
    List<DrumLane> out = new ArrayList<>();
    byLane.forEach((id, hits) -> out.add(lane(into.apply(id), hits)));
    return out;
  }

  private DrumLane lane(DrumLane into, List<PlayedHit> played) {
    Quantise own = quantise.withSwing(into.swing(quantise.swing()));
    Map<Integer, List<Placed>> bySteps = new TreeMap<>();
    long before = Long.MIN_VALUE / 2;
    for (PlayedHit hit : played) {
      Quantise.Placed at = own.placeAfter(hit.tick() - into.feel().nudge(), hit.tick() - before);
      int step = (int) Math.floorMod(at.step(), (long) steps);
      bySteps.computeIfAbsent(step, s -> new ArrayList<>()).add(new Placed(hit, at));
      before = hit.tick();
    }
    List<Hit> hits = new ArrayList<>();
    bySteps.forEach((step, placed) -> hits.add(hit(step, placed)));
    return into.withLane(new StepLane(steps, hits));
  }

  private static Hit hit(int step, List<Placed> placed) {
    return single(step, layered(placed));
  }

  /** Hits that lie nearly on one another as one, the louder. */
  private static List<Placed> layered(List<Placed> placed) {
    List<Placed> out = new ArrayList<>();
    for (Placed next : placed) {
      Placed before = out.isEmpty() ? null : out.get(out.size() - 1);
      boolean same = before != null && next.hit().tick() - before.hit().tick() < LAYERED;
      if (same && next.hit().velocity() >= before.hit().velocity()) {
        out.set(out.size() - 1, next);
      } else if (!same) {
        out.add(next);
      }
    }
    return out;
  }

  private static Hit single(int step, List<Placed> placed) {
    Placed first = placed.get(0);
    Placed last = placed.get(placed.size() - 1);
    long apart = last.hit().tick() - first.hit().tick();
    Hit plain =
        Hit.of(step, Velocity.held(last.hit().velocity())).withPitch(first.hit().semitones());
    if (placed.size() == 1 || apart == 0) {
      return plain.withNudge(last.at().nudge());
    }
    boolean soft = first.hit().velocity() < last.hit().velocity();
    if (placed.size() == 2 && apart <= FLAM && soft) {
      return plain.withNudge(last.at().nudge()).withFlam((int) apart);
    }
    return roll(step, placed);
  }

  private static Hit roll(int step, List<Placed> placed) {
    int loudest = placed.stream().mapToInt(p -> p.hit().velocity()).max().orElse(1);
    int first = placed.get(0).hit().velocity();
    int last = placed.get(placed.size() - 1).hit().velocity();
    int missing = Math.min(90, Math.round(100f * (loudest - Math.min(first, last)) / loudest));
    Roll roll =
        Roll.of(Math.min(MOST_STROKES, placed.size())).withRamp(last >= first ? missing : -missing);
    int rise = placed.get(placed.size() - 1).hit().semitones() - placed.get(0).hit().semitones();
    return Hit.of(step, Velocity.held(loudest))
        .withPitch(placed.get(0).hit().semitones())
        .withNudge(placed.get(0).at().nudge())
        .withRoll(roll.withRise(rise));
  }
}
