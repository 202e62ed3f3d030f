package westtide.compose;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.StepLane;
import westtide.rhythm.Velocity;
import westtide.rhythm.When;
import westtide.song.DrumLane;
import westtide.song.DrumVoice;
import westtide.song.Pattern;

/**
 * Grows a groove of one, two or four bars to eight: repeated by a plan in which some repeats
 * differ, one extra snare at the end of bar 4 and two at the end of bar 8 (common practice). A lane
 * whose length does not divide the groove goes on in its own time.
 */
public final class EightBars {
  /** Which repeats differ; the letters stand for two bars each. */
  public enum Plan {
    LAST("A A A B"),
    SECOND_AND_LAST("A B A C"),
    NONE("A A A A");

    private final String letters;

    Plan(String letters) {
      this.letters = letters;
    }

    private char letter(int pair) {
      return letters.charAt(2 * pair);
    }

    @Override
    public String toString() {
      return letters;
    }
  }

  private static final int BARS = 8;
  private static final int PAIRS = 4;

  private final Pattern.Drums groove;
  private final int barSteps;
  private final Plan plan;
  private final Seed seed;

  /** Grows a groove in a meter; the seed decides what differs. */
  public EightBars(Pattern.Drums groove, Meter meter, Plan plan, Seed seed) {
    this.groove = groove;
    this.barSteps = meter.stepsPerBar();
    this.plan = plan;
    this.seed = seed;
  }

  /** The groove of eight bars. */
  public Pattern.Drums grow() {
    DrumVoice answering =
        groove.lane(DrumVoice.SNARE).isPresent() ? DrumVoice.SNARE : DrumVoice.CLAP;
    List<DrumLane> lanes = new ArrayList<>();
    for (DrumLane lane : groove.lanes()) {
      boolean ownTime = groove.bars() * barSteps % lane.lane().length() != 0;
      StepLane grown = ownTime ? lane.lane() : repeated(lane);
      lanes.add(lane.withLane(lane.voice() == answering && !ownTime ? answered(grown) : grown));
    }
    return new Pattern.Drums(BARS, lanes);
  }

  private StepLane repeated(DrumLane lane) {
    int all = BARS * barSteps;
    int pairSteps = 2 * barSteps;
    int passes = Math.max(1, all / lane.lane().length());
    List<Hit> hits = lane.lane().over(all).stream().map(hit -> inOnePass(hit, passes)).toList();
    StepLane out = new StepLane(all, hits);
    for (int pair = 0; pair < PAIRS; pair++) {
      char letter = plan.letter(pair);
      if (letter != 'A') {
        Random random = seed.random("eight bars " + lane.voice() + letter);
        out = varied(out, lane.voice(), pair * pairSteps, random);
      }
    }
    return out;
  }

  /** A hit of some passes of the short lane, now that one pass of the long one holds them all. */
  private static Hit inOnePass(Hit hit, int passes) {
    When when = hit.when();
    return hit.withWhen(
        new When(Math.max(1, when.every() / passes), 1, when.percent(), when.seed()));
  }

  /** The lane with one thing changed in the two bars from a step on. */
  private StepLane varied(StepLane lane, DrumVoice voice, int from, Random random) {
    List<Hit> inside =
        lane.hits().stream()
            .filter(hit -> hit.step() >= from && hit.step() < from + 2 * barSteps)
            .toList();
    if (inside.isEmpty()) {
      return lane;
    }
    Hit chosen = inside.get(random.nextInt(inside.size()));
    return switch (voice) {
      case KICK -> withGhost(lane, from + barSteps + 2 + 4 * random.nextInt(3), Velocity.HIT);
      case CLOSED_HAT, SHAKER -> lane.with(chosen.withStrokes(3));
      case PERCUSSION, RIM, TOM ->
          withGhost(lane, Math.max(from, chosen.step() - 2), Velocity.SOFT);
      default -> lane;
    };
  }

  /** The extra snares that end bar 4 and bar 8. */
  private StepLane answered(StepLane lane) {
    int fourth = 4 * barSteps;
    int eighth = BARS * barSteps;
    int loudest = lane.hits().stream().mapToInt(Hit::velocity).max().orElse(Velocity.SOFT);
    int last = Math.min(Velocity.HIT, loudest);
    StepLane first = withGhost(lane, fourth - 1, Velocity.SOFT);
    return withGhost(withGhost(first, eighth - 3, Velocity.SOFT), eighth - 1, last);
  }

  private static StepLane withGhost(StepLane lane, int step, int velocity) {
    return lane.at(step).isPresent() ? lane : lane.with(Hit.of(step, velocity));
  }
}
