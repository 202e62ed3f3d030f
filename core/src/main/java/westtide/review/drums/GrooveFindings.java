package westtide.review.drums;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.Fix;
import westtide.review.finding.Severity;
import westtide.rhythm.Hit;
import westtide.rhythm.StepLane;
import westtide.song.drum.DrumLane;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlacedHit;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.pattern.Pattern;
import westtide.style.LaneHabit;

/** Slips in one groove: velocities that stand out, lanes that choke, steps that are crowded. */
final class GrooveFindings {
  private static final int SLIP = 25;
  private static final int CROWD = 7;
  private static final double MOSTLY = 0.6;

  private final StyledGroove view;
  private final DrumEdits edits;
  private final Pattern.Drums groove;
  private final List<Finding> out = new ArrayList<>();

  GrooveFindings(StyledGroove view) {
    this.view = view;
    this.edits = view.edits();
    this.groove = view.groove();
  }

  List<Finding> take() {
    groove.lanes().forEach(this::addSlips);
    for (int i = 0; i < groove.lanes().size(); i++) {
      addChoked(i);
    }
    addCrowd();
    return out;
  }

  private void addSlips(DrumLane lane) {
    List<Integer> sorted = lane.lane().hits().stream().map(Hit::velocity).sorted().toList();
    if (sorted.size() < 4) {
      return;
    }
    int above = above(sorted);
    if (above == sorted.size()) {
      return;
    }
    int next = sorted.get(above - 1);
    int median = sorted.get(sorted.size() / 2);
    for (Hit hit : lane.lane().hits()) {
      if (hit.velocity() - next >= SLIP && !accent(lane.id(), hit)) {
        out.add(slip(lane, hit, next, median));
      }
    }
  }

  /**
   * Where the velocities begin that stand clearly over all others, in ascending order: few of them,
   * one or a quarter at most, since more are accents; the size where none do.
   */
  private static int above(List<Integer> sorted) {
    for (int at = sorted.size() - 1; at > 0; at--) {
      boolean clear = sorted.get(at) - sorted.get(at - 1) >= SLIP;
      if (clear) {
        int count = sorted.size() - at;
        return count <= Math.max(1, sorted.size() / 4) ? at : sorted.size();
      }
    }
    return sorted.size();
  }

  /** Whether a figure of the style is about as loud on that step, so that it is meant. */
  private boolean accent(LaneId id, Hit hit) {
    LaneHabit habit = view.style().groove().lanes().get(id);
    return habit != null
        && habit.texts().stream()
            .map(StepLane::parse)
            .flatMap(figure -> figure.at(hit.step() % figure.length()).stream())
            .anyMatch(usual -> hit.velocity() - usual.velocity() < SLIP);
  }

  private Finding slip(DrumLane lane, Hit hit, int next, int median) {
    LaneId id = lane.id();
    return new Finding(
        view.id(Check.DRUMS_SLIP).at(id.code(), hit.step(), hit.velocity()),
        Severity.WARNING,
        id + " at " + hit.velocity() + " among " + next + "s",
        view.where(hit.step() * lane.grid().ticks()),
        "It is "
            + (hit.velocity() - next)
            + " above the next loudest of its lane; more than 25 is an accent or a slip.",
        Optional.of(new Fix("bring it to " + median, edits.velocity(id, hit.step(), median))));
  }

  private void addChoked(int index) {
    DrumLane lane = groove.lanes().get(index);
    Set<Integer> silencing = view.layout().silent(index);
    List<PlacedHit> own = view.layout().hits(lane);
    long silent = own.stream().filter(laid -> silencing.contains(laid.tick())).count();
    if (own.isEmpty() || silent < MOSTLY * own.size()) {
      return;
    }
    out.add(
        new Finding(
            view.id(Check.DRUMS_CHOKED).at(lane.id().code()),
            Severity.NOTE,
            lane.id() + ": " + silent + " of " + own.size() + " hits are choked",
            view.where(),
            "Another lane of its choke group starts on the same steps and silences it.",
            Optional.of(
                new Fix(
                    "take it out of the group",
                    edits.sound("Free " + lane.id(), lane.id(), s -> s.withChoke(0))))));
  }

  private void addCrowd() {
    Map<Integer, List<LaneId>> byTick = new TreeMap<>();
    for (DrumLane lane : groove.lanes()) {
      view.heard(lane)
          .forEach(l -> byTick.computeIfAbsent(l.tick(), t -> new ArrayList<>()).add(lane.id()));
    }
    byTick.entrySet().stream()
        .filter(entry -> entry.getValue().stream().map(LaneId::voice).distinct().count() >= CROWD)
        .findFirst()
        .ifPresent(entry -> out.add(crowd(entry.getKey(), entry.getValue())));
  }

  private Finding crowd(int tick, List<LaneId> lanes) {
    DrumLane softest = null;
    PlacedHit least = null;
    for (DrumLane lane : groove.lanes()) {
      for (PlacedHit laid : view.heard(lane)) {
        boolean softer = least == null || lane.velocity(laid, 0) < softest.velocity(least, 0);
        if (laid.tick() == tick && softer) {
          softest = lane;
          least = laid;
        }
      }
    }
    return new Finding(
        view.id(Check.DRUMS_CROWD).at(tick, lanes.size()),
        Severity.NOTE,
        lanes.size() + " drums start together",
        view.where(tick),
        "From six on they cover one another; the softest is hardly heard.",
        Optional.of(
            new Fix(
                "take the " + softest.id() + " off",
                edits.remove(softest.id(), least.hit().step()))));
  }
}
