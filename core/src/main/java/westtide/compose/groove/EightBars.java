package westtide.compose.groove;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Velocity;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.id.Seed;
import westtide.song.pattern.Pattern;

/**
 * Grows a groove of one, two or four bars to eight: repeated by a plan in which some repeats
 * differ, with fills at chosen bars and a crash on the first step if wanted. A lane whose length
 * does not divide the groove goes on in its own time.
 *
 * @param plan which repeats differ
 * @param fills which bars, from 0, end in which fill
 * @param crash whether a crash opens it
 */
public record EightBars(Plan plan, Map<Integer, FillFamily> fills, boolean crash) {
  /** How many bars it grows to. */
  public static final int BARS = 8;

  /** Which repeats differ; the letters stand for two bars each. */
  public enum Plan {
    LAST("A A A B", "Three times the same, then a change: the most usual."),
    SECOND_AND_LAST("A B A C", "Question and answer, twice, the second answer new."),
    ALTERNATING("A B A B", "Question and the same answer."),
    ALL("A B C D", "No two bars alike: evolving."),
    NONE("A A A A", "One groove kept: repeating.");

    private final String letters;
    private final String words;

    Plan(String letters, String words) {
      this.letters = letters;
      this.words = words;
    }

    /** What it does, one sentence. */
    public String words() {
      return words;
    }

    private char letter(int pair) {
      return letters.charAt(2 * pair);
    }

    @Override
    public String toString() {
      return letters;
    }
  }

  private static final int PAIRS = 4;
  private static final int BEAT = 4;
  private static final int FOURTH = 3;
  private static final int EIGHTH = 7;

  /** Copies the fills. */
  public EightBars {
    fills = Map.copyOf(fills);
  }

  /**
   * By a plan, one extra snare at the end of bar 4 and two at the end of bar 8 (common practice).
   */
  public static EightBars of(Plan plan) {
    return new EightBars(
        plan, Map.of(FOURTH, FillFamily.EXTRA_SNARE, EIGHTH, FillFamily.EXTRA_SNARE), false);
  }

  /** The groove of eight bars; the seed decides what differs. */
  public Pattern.Drums grow(Pattern.Drums groove, Meter meter, Seed seed) {
    Pattern.Drums out = groove.over(BARS, meter);
    for (int pair = 0; pair < PAIRS; pair++) {
      if (plan.letter(pair) != 'A') {
        out = varied(out, pair, meter, seed);
      }
    }
    for (Map.Entry<Integer, FillFamily> fill : new TreeMap<>(fills).entrySet()) {
      out = Fill.in(out, meter, fill.getKey(), fill.getValue(), fill.getKey() == EIGHTH);
    }
    return crash ? crashed(out, meter) : out;
  }

  private Pattern.Drums varied(Pattern.Drums groove, int pair, Meter meter, Seed seed) {
    int all = BARS * meter.stepsPerBar();
    int bar = meter.stepsPerBar();
    return groove.each(
        lane -> {
          boolean whole = lane.lane().length() == all && lane.grid() == StepGrid.SIXTEENTHS;
          Random random = seed.random("eight bars " + lane.id() + plan.letter(pair));
          return whole ? lane.withLane(varied(lane, pair * 2 * bar, bar, random)) : lane;
        });
  }

  /** The lane with one thing changed in the two bars from a step on. */
  private static StepLane varied(DrumLane lane, int from, int bar, Random random) {
    StepLane steps = lane.lane();
    List<Hit> inside =
        steps.hits().stream().filter(h -> h.step() >= from && h.step() < from + 2 * bar).toList();
    if (inside.isEmpty()) {
      return steps;
    }
    Hit chosen = inside.get(random.nextInt(inside.size()));
    return switch (lane.voice()) {
      case KICK -> withGhost(steps, from + bar + 2 + 4 * random.nextInt(3), chosen.velocity());
      case CLOSED_HAT, SHAKER -> livelier(steps, chosen);
      case PERCUSSION, RIM, TOM ->
          withGhost(steps, Math.max(from, chosen.step() - 2), Velocity.SOFT);
      default -> steps;
    };
  }

  /**
   * Hats that roll roll once more; others double for a beat, and where there is no room left one
   * stands out.
   */
  private static StepLane livelier(StepLane hats, Hit chosen) {
    if (hats.hits().stream().anyMatch(hit -> hit.strokes() > 1)) {
      return hats.with(chosen.withStrokes(chosen.strokes() > 1 ? 4 : 3));
    }
    int beat = chosen.step() / BEAT * BEAT;
    StepLane doubled = hats;
    for (int step = beat; step < beat + BEAT; step++) {
      doubled = withGhost(doubled, step, Velocity.SOFT);
    }
    int louder = Velocity.held(chosen.velocity() + Velocity.ACCENT - Velocity.HIT);
    return doubled.equals(hats) ? hats.with(chosen.withVelocity(louder)) : doubled;
  }

  private static Pattern.Drums crashed(Pattern.Drums groove, Meter meter) {
    int steps = BARS * meter.stepsPerBar();
    Hit hit = Hit.of(0, Velocity.ACCENT);
    return groove.find(DrumVoice.CRASH.lane()).isPresent()
        ? groove.withLane(DrumVoice.CRASH.lane(), lane -> lane.with(hit))
        : groove.with(DrumLane.of(DrumVoice.CRASH, StepLane.empty(steps).with(hit)));
  }

  private static StepLane withGhost(StepLane lane, int step, int velocity) {
    return lane.at(step).isPresent() ? lane : lane.with(Hit.of(step, velocity));
  }
}
