package westtide.compose.groove;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.MetricWeight;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Velocity;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.id.Seed;
import westtide.song.pattern.Pattern;
import westtide.style.GrooveHabit;

/**
 * Makes a groove simpler or busier by a step: what is weakest and furthest from the beat goes
 * first, what comes is what the style plays elsewhere, soft and off the beat. Lanes of sixteenths
 * are changed; others keep what they have.
 */
public final class Busyness {
  private static final double SHARE = 0.12;

  private final Meter meter;

  /** Changes grooves of a meter. */
  public Busyness(Meter meter) {
    this.meter = meter;
  }

  private record Placed(LaneId lane, Hit hit, double worth) {}

  /** The groove with about one hit in eight less; rolls become single strokes before hits go. */
  public Pattern.Drums simpler(Pattern.Drums groove) {
    List<Placed> all = new ArrayList<>();
    for (DrumLane lane : plain(groove)) {
      lane.lane().hits().forEach(hit -> all.add(new Placed(lane.id(), hit, worth(lane, hit))));
    }
    all.sort(Comparator.comparingDouble(Placed::worth));
    Pattern.Drums out = groove;
    for (Placed placed : all.subList(0, Math.min(all.size(), some(all.size())))) {
      Hit hit = placed.hit();
      out =
          out.withLane(
              placed.lane(),
              lane -> hit.strokes() > 1 ? lane.with(hit.withStrokes(1)) : lane.without(hit.step()));
    }
    return out;
  }

  /** The groove with about one hit in eight more; the seed decides between equals. */
  public Pattern.Drums busier(Pattern.Drums groove, GrooveHabit habit, Seed seed) {
    Random random = seed.random("busier");
    List<Placed> free = new ArrayList<>();
    int hits = 0;
    for (DrumLane lane : plain(groove)) {
      hits += lane.lane().hits().size();
      for (int step = 0; step < lane.lane().length(); step++) {
        if (lane.lane().at(step).isEmpty()) {
          Hit hit = Hit.of(step, velocity(lane));
          free.add(new Placed(lane.id(), hit, wish(lane, step, habit, random)));
        }
      }
    }
    free.sort(Comparator.comparingDouble(Placed::worth).reversed());
    Pattern.Drums out = groove;
    for (Placed placed : free.subList(0, Math.min(free.size(), some(hits)))) {
      out = out.withLane(placed.lane(), lane -> lane.with(placed.hit()));
    }
    return out;
  }

  private static List<DrumLane> plain(Pattern.Drums groove) {
    return groove.lanes().stream().filter(l -> l.grid() == StepGrid.SIXTEENTHS).toList();
  }

  private static int some(int hits) {
    return Math.max(1, (int) Math.round(hits * SHARE));
  }

  private double worth(DrumLane lane, Hit hit) {
    double structure =
        switch (lane.voice()) {
          case KICK, SNARE, CLAP -> 40;
          default -> 0;
        };
    double roll = hit.strokes() > 1 ? -30 : 0;
    return structure + roll + hit.velocity() / 3.0 + 12 * MetricWeight.of(hit.step(), bar());
  }

  private double wish(DrumLane lane, int step, GrooveHabit habit, Random random) {
    boolean usual =
        habit.lanes().containsKey(lane.id())
            && habit.lanes().get(lane.id()).texts().stream()
                .map(StepLane::parse)
                .anyMatch(text -> text.at(step % text.length()).isPresent());
    double drum =
        switch (lane.voice()) {
          case CLOSED_HAT, SHAKER, PERCUSSION -> 15;
          case SNARE, RIM, TOM, TAMBOURINE, WOOD_BLOCK -> 8;
          case KICK -> 2;
          default -> -40;
        };
    double place = -4.0 * MetricWeight.of(step, bar());
    return (usual ? 30 : 0) + drum + Math.min(12, place) + 10 * random.nextDouble();
  }

  private int bar() {
    return meter.stepsPerBar();
  }

  private static int velocity(DrumLane lane) {
    return switch (lane.voice()) {
      case KICK, CLOSED_HAT -> Velocity.HIT - 16;
      default -> Velocity.SOFT;
    };
  }
}
