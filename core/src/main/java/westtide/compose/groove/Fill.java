package westtide.compose.groove;

import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import westtide.rhythm.Hit;
import westtide.rhythm.Meter;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Velocity;
import westtide.song.drum.DrumLane;
import westtide.song.drum.DrumVoice;
import westtide.song.drum.LaneId;
import westtide.song.drum.Restart;
import westtide.song.pattern.Pattern;

/**
 * Plays the end of one bar of a groove as a fill. Lanes of their own length are written out where
 * the fill silences them.
 */
public final class Fill {
  private static final Set<DrumVoice> HATS =
      Set.of(DrumVoice.CLOSED_HAT, DrumVoice.OPEN_HAT, DrumVoice.SHAKER);

  /** Semitones of six toms, high to low. */
  private static final int[] TOMS = {5, 3, 1, -1, -4, -6};

  private final Pattern.Drums groove;
  private final Meter meter;
  private final int bar;

  private Fill(Pattern.Drums groove, Meter meter, int bar) {
    this.groove = groove;
    this.meter = meter;
    this.bar = bar;
  }

  /**
   * The groove with a fill.
   *
   * @param bar the bar that ends in it, from 0
   * @param big whether it is the larger of its family, as in bar 8
   */
  public static Pattern.Drums in(
      Pattern.Drums groove, Meter meter, int bar, FillFamily family, boolean big) {
    Fill fill = new Fill(groove, meter, bar);
    return switch (family) {
      case EXTRA_SNARE -> fill.extraSnare(big);
      case ROLL -> fill.roll();
      case TOMS -> fill.toms();
      case KICK_DROP ->
          fill.silent(id -> id.voice() == DrumVoice.KICK, big ? fill.half() : fill.beat());
      case HATS_ONLY -> fill.silent(id -> !HATS.contains(id.voice()), fill.half());
      case STOP -> fill.silent(id -> true, fill.beat());
    };
  }

  private int end() {
    return (bar + 1) * meter.stepsPerBar();
  }

  private int half() {
    return meter.stepsPerBar() / 2;
  }

  private int beat() {
    return meter.ticksPerBeat() / StepGrid.SIXTEENTHS.ticks();
  }

  private Pattern.Drums extraSnare(boolean big) {
    LaneId snare = answering();
    int loudest =
        groove.find(snare).stream()
            .flatMap(lane -> lane.lane().hits().stream())
            .mapToInt(Hit::velocity)
            .max()
            .orElse(Velocity.SOFT);
    int last = Math.min(Velocity.HIT, loudest);
    return on(
        snare,
        lane ->
            big
                ? filled(filled(lane, end() - 3, Velocity.SOFT), end() - 1, last)
                : filled(lane, end() - 1, Velocity.SOFT));
  }

  private static StepLane filled(StepLane lane, int step, int velocity) {
    return lane.at(step).isPresent() ? lane : lane.with(Hit.of(step, velocity));
  }

  private Pattern.Drums roll() {
    int steps = half();
    return on(
        answering(),
        lane -> {
          StepLane out = lane;
          for (int i = 0; i < steps; i++) {
            int velocity = Velocity.SOFT + (Velocity.ACCENT - Velocity.SOFT) * i / (steps - 1);
            out = out.with(Hit.of(end() - steps + i, velocity));
          }
          return out;
        });
  }

  private Pattern.Drums toms() {
    Pattern.Drums room = silent(id -> id.voice() == answering().voice(), half());
    return new Fill(room, meter, bar)
        .on(
            DrumVoice.TOM.lane(),
            lane -> {
              StepLane out = lane;
              for (int i = 0; i < TOMS.length; i++) {
                int velocity = Velocity.HIT + 4 * i;
                int step = end() - TOMS.length + i;
                out = out.with(Hit.of(step, velocity).withPitch(TOMS[i]));
              }
              return out;
            });
  }

  private LaneId answering() {
    return groove.find(DrumVoice.SNARE.lane()).isPresent()
            || groove.find(DrumVoice.CLAP.lane()).isEmpty()
        ? DrumVoice.SNARE.lane()
        : DrumVoice.CLAP.lane();
  }

  private Pattern.Drums on(LaneId id, UnaryOperator<StepLane> change) {
    int steps = groove.bars() * meter.stepsPerBar();
    Pattern.Drums with =
        groove.find(id).isPresent()
            ? groove.each(lane -> lane.id().equals(id) ? written(lane) : lane)
            : groove.with(DrumLane.of(id, StepLane.empty(steps)));
    return with.withLane(id, lane -> lane.length() == steps ? change.apply(lane) : lane);
  }

  /** The groove with some lanes silent over the last steps of the bar. */
  private Pattern.Drums silent(Predicate<LaneId> lanes, int steps) {
    int ticks = end() * StepGrid.SIXTEENTHS.ticks();
    int from = ticks - steps * StepGrid.SIXTEENTHS.ticks();
    return groove.each(lane -> lanes.test(lane.id()) ? without(written(lane), from, ticks) : lane);
  }

  private static DrumLane without(DrumLane lane, int from, int to) {
    int grid = lane.grid().ticks();
    return lane.withLane(
        new StepLane(
            lane.lane().length(),
            lane.lane().hits().stream()
                .filter(hit -> hit.step() * grid < from || hit.step() * grid >= to)
                .toList()));
  }

  /** The lane over the whole groove, where it would restart with it and is not too long. */
  private DrumLane written(DrumLane lane) {
    int steps = groove.ticks(meter) / lane.grid().ticks();
    boolean fits =
        steps <= StepLane.LONGEST
            && groove.restart().equals(Restart.WITH_GROOVE)
            && lane.lane().length() < steps;
    return fits ? lane.withLane(new StepLane(steps, lane.lane().over(steps))) : lane;
  }
}
