package westtide.compose.groove;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.StepLane;
import westtide.song.Part;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.LaneSound;
import westtide.song.id.Seed;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.style.GrooveHabit;
import westtide.style.LaneHabit;

/**
 * Builds the grooves of a drum part: the main one, a thinner one and a fill of one bar. The main
 * one is built lane by lane in the order of {@link BuildOrder}: each lane grows from a figure of
 * the style by a few moves and hears the lanes before it. Every lane has chances of its own, so
 * that one drawn alone is the one the whole groove has.
 */
public final class GrooveDraft {
  /** The name of the main groove. */
  public static final String MAIN = "A";

  /** The name of the groove with fewer voices. */
  public static final String THIN = "thin";

  /** The name of the one-bar fill. */
  public static final String FILL = "fill";

  private static final List<LaneMove> MOVES =
      List.of(
          new MixedBars(),
          new MovedHit(),
          new MovedRolls(),
          new Ghosts(),
          new SteppedAside(),
          new ShadedHats());

  private final GrooveHabit habit;
  private final Seed seed;

  /** Drafts by a style's habit. */
  public GrooveDraft(GrooveHabit habit, Seed seed) {
    this.habit = habit;
    this.seed = seed;
  }

  /** The three grooves. */
  public List<NamedPattern> draw() {
    Pattern.Drums main = main();
    return List.of(
        new NamedPattern(MAIN, main),
        new NamedPattern(THIN, thin(main)),
        new NamedPattern(FILL, fill()));
  }

  /**
   * One lane as it is drawn in front of the lanes before it in the order of building, which are the
   * only ones it hears; empty where the style does not use it.
   */
  public Optional<DrawnLane> draw(LaneId id, Pattern.Drums groove) {
    int rank = BuildOrder.rank(id.voice());
    Pattern.Drums heard =
        groove.withLanes(
            groove.lanes().stream().filter(lane -> BuildOrder.rank(lane.voice()) < rank).toList());
    return Optional.ofNullable(habit.lanes().get(id)).map(lane -> drawn(id, lane, heard));
  }

  /** How the lanes sound where the style has them elsewhere than the kit. */
  public Part voiced(Part part) {
    Part out = part;
    for (Map.Entry<LaneId, LaneHabit> lane : habit.lanes().entrySet()) {
      LaneSound sound = part.sound(lane.getKey());
      out = out.withSound(lane.getKey(), sound.withPan(lane.getValue().pan()));
    }
    return out;
  }

  private Pattern.Drums main() {
    List<LaneId> order =
        habit.lanes().keySet().stream()
            .sorted(Comparator.comparingInt(id -> BuildOrder.rank(id.voice())))
            .toList();
    Pattern.Drums built = new Pattern.Drums(habit.bars(), List.of());
    for (LaneId id : order) {
      built = built.with(draw(id, built).orElseThrow().lane());
    }
    List<DrumLane> shown = new ArrayList<>();
    for (LaneId id : habit.lanes().keySet()) {
      built.find(id).filter(lane -> !lane.lane().hits().isEmpty()).ifPresent(shown::add);
    }
    return built.withLanes(shown);
  }

  private DrawnLane drawn(LaneId id, LaneHabit lane, Pattern.Drums heard) {
    Random random = seed.random("drums " + id.code());
    StepLane figure = StepLane.parse(Seed.pick(lane.texts(), random));
    LaneScene scene = LaneScene.of(id.voice(), lane, figure, heard, random);
    LaneSketch sketch = LaneSketch.of(figure);
    for (LaneMove move : MOVES) {
      sketch = move.on(sketch, scene);
    }
    return new DrawnLane(played(id, lane, sketch.lane()), sketch.reasons());
  }

  private DrumLane played(LaneId id, LaneHabit lane, StepLane steps) {
    Optional<StepLane> accents =
        lane.accents().isEmpty() ? Optional.empty() : Optional.of(StepLane.parse(lane.accents()));
    LaneFeel feel = LaneFeel.PLAIN.withNudge(lane.nudge()).withVelocity(habit.schools().vary());
    DrumLane drawn =
        DrumLane.of(id, pitched(steps, lane.pitches()))
            .withGrid(lane.grid())
            .withAccents(accents)
            .withFeel(feel);
    boolean full = id.voice() == DrumVoice.KICK && habit.schools().full();
    return full ? KickVelocity.of(drawn, false) : drawn;
  }

  private static StepLane pitched(StepLane steps, List<Integer> pitches) {
    StepLane out = steps;
    for (int i = 0; i < steps.hits().size() && !pitches.isEmpty(); i++) {
      out = out.with(steps.hits().get(i).withPitch(pitches.get(i % pitches.size())));
    }
    return out;
  }

  private Pattern.Drums thin(Pattern.Drums main) {
    return main.withLanes(
        main.lanes().stream().filter(lane -> !habit.thin().contains(lane.id())).toList());
  }

  private Pattern.Drums fill() {
    Map<LaneId, String> chosen = Seed.pick(habit.fills(), seed.random("drum fill"));
    List<DrumLane> lanes = new ArrayList<>();
    chosen.forEach((id, text) -> lanes.add(DrumLane.of(id, StepLane.parse(text))));
    return new Pattern.Drums(1, lanes);
  }
}
