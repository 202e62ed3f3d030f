package westtide.compose.groove;

import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.Position;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Velocity;
import westtide.song.drum.DrumVoice;
import westtide.song.id.Seed;
import westtide.song.pattern.Pattern;
import westtide.style.LaneHabit;

/**
 * What a lane is drawn in front of: the figures of its style that belong together, and the steps
 * that kick and backbeat have taken.
 *
 * @param voice the drum
 * @param habit what the style says of the lane
 * @param figures the figure it grows from and those of its kind, most of whose hits are on the same
 *     steps
 * @param taken steps of the groove on which a kick, snare or clap that is no ghost plays
 * @param random where chances come from
 */
record LaneScene(
    DrumVoice voice, LaneHabit habit, List<StepLane> figures, Set<Integer> taken, Random random) {
  private static final double ALIKE = 0.6;

  /** The scene of a figure in front of the lanes that are there already. */
  static LaneScene of(
      DrumVoice voice, LaneHabit habit, StepLane figure, Pattern.Drums heard, Random random) {
    List<StepLane> figures =
        habit.texts().stream().map(StepLane::parse).filter(other -> alike(figure, other)).toList();
    return new LaneScene(voice, habit, figures, taken(heard), random);
  }

  /** Whether figures are of one length and share most of their hits (Dice's coefficient). */
  private static boolean alike(StepLane one, StepLane other) {
    int both = one.hits().size() + other.hits().size();
    long shared = one.hits().stream().filter(hit -> other.at(hit.step()).isPresent()).count();
    return one.equals(other)
        || one.length() == other.length() && both > 0 && 2.0 * shared / both >= ALIKE;
  }

  private static Set<Integer> taken(Pattern.Drums heard) {
    Set<Integer> out = new HashSet<>();
    int ticks = heard.ticks(Meter.COMMON);
    heard.lanes().stream()
        .filter(lane -> lane.voice().backbone())
        .flatMap(lane -> lane.laid(ticks, ticks).stream())
        .filter(laid -> laid.hit().velocity() > Velocity.SOFT)
        .forEach(laid -> out.add(laid.tick() / StepGrid.SIXTEENTHS.ticks()));
    return out;
  }

  /** Whether the lane is whole bars of sixteenths, which moves by bars and beats ask for. */
  boolean wholeBars(StepLane lane) {
    return habit.grid() == StepGrid.SIXTEENTHS && lane.length() % bar() == 0;
  }

  int bar() {
    return Meter.COMMON.stepsPerBar();
  }

  int beat() {
    return bar() / Meter.COMMON.beats();
  }

  /** True so many times out of a hundred. */
  boolean chance(int percent) {
    return random.nextInt(100) < percent;
  }

  <T> T pick(List<T> choices) {
    return Seed.pick(choices, random);
  }

  /** Places within the bar on which some figure has a hit of that kind, in any of its bars. */
  List<Integer> places(Predicate<Hit> kind) {
    TreeSet<Integer> out = new TreeSet<>();
    figures.forEach(
        figure -> figure.hits().stream().filter(kind).forEach(hit -> out.add(hit.step() % bar())));
    return List.copyOf(out);
  }

  /** Whether every figure has a hit on that step, so that it is part of the style. */
  boolean fixed(int step) {
    return figures.stream().allMatch(figure -> figure.at(step).isPresent());
  }

  /** A step as people say it. */
  static String at(int step) {
    return Position.of((long) step * StepGrid.SIXTEENTHS.ticks(), Meter.COMMON).toString();
  }
}
