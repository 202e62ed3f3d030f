package westtide.score.boundary;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Meter;
import westtide.rhythm.Ticks;
import westtide.rhythm.Velocity;
import westtide.score.event.NoteOrder;
import westtide.score.event.ScoredNote;
import westtide.score.event.Source;
import westtide.song.Song;
import westtide.song.form.TransitionEffect;
import westtide.theory.Key;

/**
 * Runs of one part into the next section: through the scale up to the note that opens it, one note
 * in ever shorter repeats, or the last strike rung on at the tempo.
 */
final class Runs {
  /** The lowest note a run begins on: D1. */
  private static final int LOWEST = 26;

  private static final int SOFT = 66;
  private static final int LOUD = 116;
  private static final double TAIL_FALL = 0.66;

  /** A dotted eighth, at which tails ring most (common practice). */
  private static final int TAIL_TICKS = 3 * Ticks.PER_STEP;

  /** From sixteenths to sixths of a step, quarter by quarter of a ramp (common practice). */
  private static final int[] RAMP = {
    Ticks.PER_STEP, Ticks.PER_STEP / 2, Ticks.PER_STEP / 3, Ticks.PER_STEP / 6
  };

  private final List<ScoredNote> notes;
  private final Song song;
  private final Boundaries.At at;
  private final Meter meter;

  Runs(List<ScoredNote> notes, Song song, Boundaries.At at, Meter meter) {
    this.notes = notes;
    this.song = song;
    this.at = at;
    this.meter = meter;
  }

  List<ScoredNote> of(TransitionEffect.Run.Way way) {
    return switch (way) {
      case BASS -> scale(at.to() - at.from() > meter.ticksPerBeat() ? 2 : 1);
      case LINE -> scale(1);
      case RAMP -> ramp();
      case TAIL -> tail();
    };
  }

  /**
   * Step by step through the scale to the first note of the part behind the boundary: from below,
   * or from above where there is no room below.
   */
  private List<ScoredNote> scale(int steps) {
    Optional<ScoredNote> target = target();
    if (target.isEmpty()) {
      return List.of();
    }
    int length = steps * Ticks.PER_STEP;
    int count = (at.to() - at.from()) / length;
    int goal = target.get().key();
    int way = walked(goal, -1, count) < LOWEST ? 1 : -1;
    List<ScoredNote> out = new ArrayList<>();
    for (int back = count; back >= 1; back--) {
      int tick = at.to() - back * length;
      out.add(note(tick, length, walked(goal, way, back), swell(tick)));
    }
    return out;
  }

  /** So many steps of the scale above (1) or below (−1) a note. */
  private int walked(int key, int way, int steps) {
    Key scale = song.brief().key();
    int out = key;
    for (int step = 0; step < steps; step++) {
      do {
        out += way;
      } while (out > 0 && !scale.contains(Math.floorMod(out, 12)));
    }
    return Math.max(0, out);
  }

  /** The lowest of what the part strikes first behind the boundary, or what it struck last. */
  private Optional<ScoredNote> target() {
    List<ScoredNote> after = NoteOrder.between(notes, at.to(), at.to() + 2 * meter.ticksPerBar());
    return after.isEmpty() ? last(at.to()) : Optional.of(after.get(0));
  }

  private Optional<ScoredNote> last(int before) {
    List<ScoredNote> earlier = NoteOrder.between(notes, 0, before);
    return earlier.isEmpty() ? Optional.empty() : Optional.of(earlier.get(earlier.size() - 1));
  }

  private List<ScoredNote> ramp() {
    Optional<ScoredNote> sounding = last(at.from() + 1).or(this::target);
    if (sounding.isEmpty()) {
      return List.of();
    }
    List<ScoredNote> out = new ArrayList<>();
    int tick = at.from();
    while (tick < at.to()) {
      int quarter = Math.min(3, 4 * (tick - at.from()) / (at.to() - at.from()));
      int length = Math.min(RAMP[quarter], at.to() - tick);
      out.add(note(tick, length, sounding.get().key(), swell(tick)));
      tick += length;
    }
    return out;
  }

  /** The last strike before the boundary again and again, softer and softer. */
  private List<ScoredNote> tail() {
    Optional<ScoredNote> last = last(at.from());
    boolean plays = !NoteOrder.between(notes, at.from(), at.to()).isEmpty();
    if (last.isEmpty() || plays) {
      return List.of();
    }
    List<ScoredNote> out = new ArrayList<>();
    int struck = last.get().start();
    double velocity = last.get().velocity() * at.what().depth() / 100.0;
    for (int tick = at.from(); tick < at.to(); tick += TAIL_TICKS) {
      velocity *= TAIL_FALL;
      for (ScoredNote note : NoteOrder.between(notes, struck, struck + 1)) {
        out.add(
            note(
                tick,
                Math.min(TAIL_TICKS, at.to() - tick),
                note.key(),
                Velocity.held(Math.round(velocity))));
      }
    }
    return out;
  }

  private int swell(int tick) {
    double done = (tick - at.from()) / (double) (at.to() - at.from());
    return Velocity.held(Math.round((SOFT + (LOUD - SOFT) * done) * at.what().depth() / 100.0));
  }

  private ScoredNote note(int tick, int ticks, int key, int velocity) {
    return new ScoredNote(
        tick, ticks, key, velocity, tick, 0, 0, Source.TRANSITION, Optional.empty(), "");
  }
}
