package westtide.compose;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.StepLane;
import westtide.song.DrumLane;
import westtide.song.DrumVoice;
import westtide.song.Pattern;
import westtide.song.Variant;
import westtide.style.GrooveHabit;
import westtide.style.LaneHabit;

/** Builds the grooves of a drum part: the main one, a thinner one and a fill of one bar. */
public final class GrooveDraft {
  /** The name of the main groove. */
  public static final String MAIN = "A";

  /** The name of the groove with fewer voices. */
  public static final String THIN = "thin";

  /** The name of the one-bar fill. */
  public static final String FILL = "fill";

  private final GrooveHabit habit;
  private final Random random;

  /** Drafts by a style's habit. */
  public GrooveDraft(GrooveHabit habit, Seed seed) {
    this.habit = habit;
    this.random = seed.random("drums");
  }

  /** The three grooves. */
  public List<Variant> draw() {
    Pattern.Drums main = main();
    return List.of(
        new Variant(MAIN, main), new Variant(THIN, thin(main)), new Variant(FILL, fill()));
  }

  /** A new take of one voice alone; empty where the style does not use it. */
  public Optional<DrumLane> draw(DrumVoice voice) {
    return Optional.ofNullable(habit.lanes().get(voice)).map(lane -> drawn(voice, lane));
  }

  private Pattern.Drums main() {
    List<DrumLane> lanes = new ArrayList<>();
    habit.lanes().forEach((voice, lane) -> lanes.add(drawn(voice, lane)));
    return new Pattern.Drums(habit.bars(), lanes);
  }

  private DrumLane drawn(DrumVoice voice, LaneHabit lane) {
    StepLane steps = StepLane.parse(Seed.pick(lane.texts(), random));
    return DrumLane.of(voice, steps).withFeel(LaneFeel.PLAIN.withNudge(lane.nudge()));
  }

  private Pattern.Drums thin(Pattern.Drums main) {
    return new Pattern.Drums(
        main.bars(),
        main.lanes().stream()
            .map(
                lane ->
                    habit.thin().contains(lane.voice())
                        ? lane.withLane(StepLane.empty(lane.lane().length()))
                        : lane)
            .toList());
  }

  private Pattern.Drums fill() {
    Map<DrumVoice, String> chosen = Seed.pick(habit.fills(), random);
    List<DrumLane> lanes = new ArrayList<>();
    for (DrumVoice voice : habit.lanes().keySet()) {
      StepLane lane =
          chosen.containsKey(voice) ? StepLane.parse(chosen.get(voice)) : StepLane.empty(16);
      lanes.add(DrumLane.of(voice, lane));
    }
    return new Pattern.Drums(1, lanes);
  }
}
