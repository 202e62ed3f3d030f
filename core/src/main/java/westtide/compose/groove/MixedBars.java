package westtide.compose.groove;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;

/** Each bar comes from any of the figures that belong together, and stays in its place. */
final class MixedBars implements LaneMove {
  @Override
  public LaneSketch on(LaneSketch sketch, LaneScene scene) {
    StepLane lane = sketch.lane();
    if (scene.figures().size() < 2 || !scene.wholeBars(lane)) {
      return sketch;
    }
    List<Hit> hits = new ArrayList<>();
    List<Integer> mixed = new ArrayList<>();
    for (int from = 0; from < lane.length(); from += scene.bar()) {
      List<Hit> bar = bar(scene.pick(scene.figures()), from, scene.bar());
      if (!bar.equals(bar(lane, from, scene.bar()))) {
        mixed.add(from / scene.bar() + 1);
      }
      hits.addAll(bar);
    }
    return mixed.isEmpty() ? sketch : sketch.with(new StepLane(lane.length(), hits), words(mixed));
  }

  private static List<Hit> bar(StepLane figure, int from, int steps) {
    return figure.hits().stream()
        .filter(hit -> hit.step() >= from && hit.step() < from + steps)
        .toList();
  }

  private static String words(List<Integer> bars) {
    String names = bars.stream().map(String::valueOf).collect(Collectors.joining(", "));
    return (bars.size() == 1 ? "bar " : "bars ") + names + " from another of its figures";
  }
}
