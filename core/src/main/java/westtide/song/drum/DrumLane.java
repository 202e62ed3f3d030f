package westtide.song.drum;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Hit;
import westtide.rhythm.LaneFeel;
import westtide.rhythm.StepGrid;
import westtide.rhythm.StepLane;
import westtide.rhythm.Swing;
import westtide.rhythm.Velocity;

/**
 * A lane and what it plays.
 *
 * @param id which lane of the part
 * @param lane its hits; the lane starts again when it is shorter than the groove
 * @param grid how long its steps are
 * @param swing swing of its own; empty to swing with the song, which triplets never do
 * @param accents velocities of a length of their own that run along the steps: {@code x} leaves a
 *     hit as written, {@code X} and {@code o} make it louder and softer, {@code .} silences it
 * @param feel how the lane as a whole is played
 * @param restart when it begins again, apart from the others; empty to restart with them
 */
public record DrumLane(
    LaneId id,
    StepLane lane,
    StepGrid grid,
    Optional<Swing> swing,
    Optional<StepLane> accents,
    LaneFeel feel,
    Optional<Restart> restart) {
  /** A lane that restarts with the others. */
  public DrumLane(
      LaneId id,
      StepLane lane,
      StepGrid grid,
      Optional<Swing> swing,
      Optional<StepLane> accents,
      LaneFeel feel) {
    this(id, lane, grid, swing, accents, feel, Optional.empty());
  }

  /** A lane of sixteenths played plainly. */
  public static DrumLane of(LaneId id, StepLane lane) {
    return new DrumLane(
        id, lane, StepGrid.SIXTEENTHS, Optional.empty(), Optional.empty(), LaneFeel.PLAIN);
  }

  /** The first lane of a drum, played plainly. */
  public static DrumLane of(DrumVoice voice, StepLane lane) {
    return of(voice.lane(), lane);
  }

  /** The drum that plays it. */
  public DrumVoice voice() {
    return id.voice();
  }

  /** The same hits on another lane of the part. */
  public DrumLane withId(LaneId other) {
    return new DrumLane(other, lane, grid, swing, accents, feel, restart);
  }

  /** The same lane with other hits. */
  public DrumLane withLane(StepLane other) {
    return new DrumLane(id, other, grid, swing, accents, feel, restart);
  }

  /** The same steps of another length. */
  public DrumLane withGrid(StepGrid other) {
    return new DrumLane(id, lane, other, swing, accents, feel, restart);
  }

  /** The same lane with swing of its own, or the song's. */
  public DrumLane withSwing(Optional<Swing> other) {
    return new DrumLane(id, lane, grid, other, accents, feel, restart);
  }

  /** The same lane with other velocities running along. */
  public DrumLane withAccents(Optional<StepLane> other) {
    return new DrumLane(id, lane, grid, swing, other, feel, restart);
  }

  /** The same hits played another way. */
  public DrumLane withFeel(LaneFeel other) {
    return new DrumLane(id, lane, grid, swing, accents, other, restart);
  }

  /** The same lane beginning again at its own times; empty to restart with the others. */
  public DrumLane withRestart(Optional<Restart> other) {
    return new DrumLane(id, lane, grid, swing, accents, feel, other);
  }

  /**
   * A hit of the lane carried to another place in it: to the nearest step, and as late as it then
   * is. It does not leave the lane, and where another hit stands it stays on the step it is on now.
   *
   * @param late ticks after the hit's own step
   * @param now the step it is on while it is carried
   */
  public Hit carried(Hit hit, long late, int now) {
    long ticks = (long) hit.step() * grid.ticks() + late;
    long nearest = Math.floorDiv(ticks + grid.ticks() / 2, (long) grid.ticks());
    int step = (int) Math.max(0, Math.min(lane.length() - 1, nearest));
    int to = step == now || lane.at(step).isEmpty() ? step : now;
    long left = ticks - (long) to * grid.ticks();
    return hit.withStep(to).withNudge(Hit.heldNudge(left));
  }

  /** The swing it plays with in a song of that swing. */
  public Swing swing(Swing song) {
    return swing.orElse(grid.triplet() ? Swing.STRAIGHT : song);
  }

  /** How late the lane plays a step, counted from where the groove began, in ticks. */
  public int late(int step) {
    return feel.late(step, id.index());
  }

  /** Ticks of one pass. */
  public int ticks() {
    return lane.length() * grid.ticks();
  }

  /**
   * Where its hits fall over a stretch, restarting every so many ticks. Hits that play on some
   * passes only are included on all.
   */
  public List<PlacedHit> laid(int ticks, int restart) {
    List<PlacedHit> out = new ArrayList<>();
    int pass = 0;
    int steps = 0;
    for (long start = 0; start < ticks; start += restart) {
      int end = (int) Math.min(ticks, start + restart);
      for (int from = (int) start; from < end; from += ticks(), pass++) {
        int run = (from - (int) start) / grid.ticks();
        addPass(out, from, Math.min(end, from + ticks()), new int[] {pass, steps + run, run});
      }
      steps += (end - (int) start + grid.ticks() - 1) / grid.ticks();
    }
    return out;
  }

  private void addPass(List<PlacedHit> out, int from, int to, int[] counted) {
    for (Hit hit : lane.hits()) {
      int tick = from + hit.step() * grid.ticks();
      if (tick < to) {
        int step = counted[1] + hit.step();
        out.add(new PlacedHit(hit, tick, step, counted[2] + hit.step(), counted[0], from, to));
      }
    }
  }

  /** Whether the accents silence a laid hit. */
  public boolean silences(PlacedHit laid) {
    return accents.isPresent() && accented(Velocity.HIGHEST, laid.run()) == 0;
  }

  /** How loud a stroke of a laid hit is played, 1 to 127; 0 where the accents silence it. */
  public int velocity(PlacedHit laid, int stroke) {
    return accented(feel.played(laid.hit().velocity(stroke), laid.step(), id.index()), laid.run());
  }

  private int accented(int velocity, int run) {
    if (accents.isEmpty()) {
      return velocity;
    }
    int accent = accents.get().velocityAt(run % accents.get().length());
    return accent == 0 ? 0 : Velocity.held(Math.round(velocity * (double) accent / Velocity.HIT));
  }
}
