package westtide.review.drums;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import westtide.review.finding.Check;
import westtide.review.finding.Finding;
import westtide.review.finding.FindingId;
import westtide.review.finding.Fix;
import westtide.review.finding.Severity;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.song.HeardPlace;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.PlacedHit;
import westtide.song.edit.drum.DrumEdits;
import westtide.song.id.PartId;
import westtide.song.pattern.Pattern;
import westtide.style.EnsembleHabit;
import westtide.style.LaneHabit;
import westtide.style.Span;
import westtide.style.Style;

/** What the main groove lacks, or has too much of, against the style and the swing. */
final class StyleGrooveFindings {
  private static final int GHOST_STEP = 7;
  private static final double FEW = 0.4;
  private static final double MANY = 1.7;
  private static final int CLEARLY = 3;
  private static final double CLEARLY_FULL = 1.15;

  private final StyledGroove view;
  private final List<StyledGroove> beside;
  private final Style style;
  private final DrumEdits edits;
  private final Pattern.Drums groove;
  private final Meter meter;
  private final List<Finding> out = new ArrayList<>();

  /** Looks at a groove and at what other drum parts play beside it. */
  StyleGrooveFindings(StyledGroove view, List<StyledGroove> beside) {
    this.view = view;
    this.beside = beside;
    this.style = view.style();
    this.edits = view.edits();
    this.groove = view.groove();
    this.meter = view.meter();
  }

  List<Finding> take() {
    for (DrumVoice voice : List.of(DrumVoice.KICK, DrumVoice.CLAP, DrumVoice.SNARE)) {
      addMissing(voice.lane());
    }
    style.groove().lanes().forEach(this::addDensity);
    addFullness();
    addIdleSwing();
    return out;
  }

  /** The first step on which every groove of the style has the drum, and this one has not. */
  private void addMissing(LaneId id) {
    LaneHabit habit = style.groove().lanes().get(id);
    if (habit == null || meter.stepsPerBar() != 16) {
      return;
    }
    Set<Integer> expected = strong(figure(habit, 0));
    for (int i = 1; i < habit.texts().size(); i++) {
      expected.retainAll(strong(figure(habit, i)));
    }
    Set<Integer> present = played(id);
    expected.stream()
        .sorted()
        .filter(tick -> !present.contains(tick))
        .findFirst()
        .ifPresent(tick -> out.add(missing(id, tick)));
  }

  /** A figure of the style as a lane over the bars of this groove. */
  private List<PlacedHit> figure(LaneHabit habit, int index) {
    DrumLane lane =
        DrumLane.of(DrumVoice.KICK.lane(), StepLane.parse(habit.texts().get(index)))
            .withGrid(habit.grid());
    return groove.laid(lane, meter);
  }

  /** The ticks of hits that are no ghosts. */
  private static Set<Integer> strong(List<PlacedHit> laid) {
    return laid.stream()
        .filter(hit -> hit.hit().velocity() > Velocity.SOFT)
        .map(PlacedHit::tick)
        .collect(Collectors.toSet());
  }

  /** Where the drum plays, on whatever grid and in whichever part, over the bars of this groove. */
  private Set<Integer> played(LaneId id) {
    Set<Integer> out = new HashSet<>();
    int ticks = groove.ticks(meter);
    for (StyledGroove each : all()) {
      for (DrumLane lane : each.groove().lanes()) {
        if (lane.voice() == id.voice()) {
          Set<Integer> own = strong(each.heard(lane));
          int length = each.groove().ticks(meter);
          for (int from = 0; from < ticks; from += length) {
            int at = from;
            own.forEach(tick -> out.add(at + tick));
          }
        }
      }
    }
    return out;
  }

  private List<StyledGroove> all() {
    List<StyledGroove> out = new ArrayList<>(List.of(view));
    out.addAll(beside);
    return out;
  }

  private Finding missing(LaneId id, int tick) {
    return new Finding(
        view.id(Check.DRUMS_MISSING).at(id.code(), tick / Ticks.PER_STEP),
        Severity.NOTE,
        "No "
            + id.toString().toLowerCase()
            + " on "
            + new HeardPlace(view.song()).of(edits.part(), edits.pattern(), tick),
        view.where(),
        "Every " + style.name() + " groove of the book has one there: " + why(id),
        placed(id, tick).map(lane -> new Fix("place it", edits.with("Place " + id, lane))));
  }

  /** The lane with a hit at a tick, on its own grid; empty where that has no step there. */
  private Optional<DrumLane> placed(LaneId id, int tick) {
    DrumLane lane =
        groove
            .find(id)
            .orElse(DrumLane.of(id, StepLane.empty(groove.ticks(meter) / Ticks.PER_STEP)));
    int grid = lane.grid().ticks();
    int steps = groove.ticks(meter) / grid;
    if (tick % grid != 0 || groove.ticks(meter) % grid != 0 || steps > StepLane.LONGEST) {
      return Optional.empty();
    }
    StepLane written = new StepLane(steps, lane.lane().over(steps));
    return Optional.of(lane.withLane(written.with(Hit.of(tick / grid, Velocity.HIT))));
  }

  private String why(LaneId id) {
    return style.why(id.toString()).orElse("common practice.");
  }

  private void addDensity(LaneId id, LaneHabit habit) {
    Optional<DrumLane> lane = groove.find(id).filter(l -> !l.lane().hits().isEmpty());
    List<Double> usual =
        habit.texts().stream()
            .map(text -> perBar(StepLane.parse(text), habit.grid()))
            .filter(d -> d > 0)
            .toList();
    if (lane.isEmpty() || usual.isEmpty()) {
      return;
    }
    double low = usual.stream().mapToDouble(d -> d).min().orElse(0);
    double high = usual.stream().mapToDouble(d -> d).max().orElse(0);
    double found = view.heard(lane.get()).size() / (double) groove.bars();
    boolean few = found < FEW * low && low - found >= CLEARLY;
    boolean many = found > MANY * high && found - high >= CLEARLY;
    if (few || many) {
      out.add(density(id, found, low, high));
    }
  }

  /**
   * The groove as a whole, clearly fuller or emptier than the style's; percussion the style itself
   * plays beside it is not counted.
   */
  private void addFullness() {
    Set<PartId> own =
        style.ensemble().members().stream()
            .map(EnsembleHabit.Member::id)
            .collect(Collectors.toSet());
    double found =
        all().stream()
            .filter(groove -> groove == view || !own.contains(groove.edits().part()))
            .mapToDouble(StyledGroove::hitsPerBar)
            .sum();
    Span usual = style.groove().hitsPerBar();
    boolean full = found > usual.high() * CLEARLY_FULL;
    if (found > 0 && (full || found < usual.low() / CLEARLY_FULL)) {
      out.add(fullness(found, usual, full));
    }
  }

  private Finding fullness(double found, Span usual, boolean full) {
    return new Finding(
        view.id(Check.DRUMS_FULL).at(Math.round(found)),
        Severity.NOTE,
        plain(found) + " hits per bar in all",
        view.where(),
        style.name()
            + " has "
            + plain(usual.low())
            + " to "
            + plain(usual.high())
            + (full
                ? ": \"simpler\" on the page groove takes the weakest away."
                : ": \"busier\" on the page groove adds what the style plays elsewhere."),
        Optional.empty());
  }

  private double perBar(StepLane lane, StepGrid grid) {
    return lane.hits().size() * (double) meter.ticksPerBar() / (lane.length() * grid.ticks());
  }

  private Finding density(LaneId id, double found, double low, double high) {
    String range = low == high ? plain(low) : plain(low) + " to " + plain(high);
    return new Finding(
        view.id(Check.DRUMS_DENSITY).at(id.code(), Math.round(found)),
        Severity.NOTE,
        id + ": " + plain(found) + " hits per bar",
        view.where(),
        style.name() + " has " + range + " a bar: " + why(id),
        Optional.empty());
  }

  private static String plain(double number) {
    return number == Math.rint(number)
        ? String.valueOf(Math.round(number))
        : String.valueOf(Math.round(number * 10) / 10.0);
  }

  private void addIdleSwing() {
    boolean acts =
        groove.lanes().stream()
            .anyMatch(
                lane ->
                    view.heard(lane).stream()
                        .anyMatch(
                            laid ->
                                laid.hit().strokes() > 1
                                    || lane.swing(view.song().brief().swing())
                                        .reaches(laid.tick())));
    if (view.song().brief().swing().straight() || acts) {
      return;
    }
    LaneId snare = DrumVoice.SNARE.lane();
    Hit ghost = Hit.of(GHOST_STEP, Velocity.SOFT);
    DrumLane lane =
        groove
            .find(snare)
            .orElse(DrumLane.of(snare, StepLane.empty(groove.bars() * meter.stepsPerBar())));
    out.add(
        new Finding(
            FindingId.of(Check.DRUMS_SWING),
            Severity.WARNING,
            "Swing of " + view.song().brief().swing() + " % moves nothing",
            view.where(),
            "Swing delays only the off-steps, and this groove has no hit on one.",
            Optional.of(
                new Fix(
                    "add a ghost on step 8",
                    edits.with("Add a ghost", lane.withLane(lane.lane().with(ghost)))))));
  }
}
