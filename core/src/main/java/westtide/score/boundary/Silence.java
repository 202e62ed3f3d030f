package westtide.score.boundary;

import java.util.function.Predicate;
import westtide.rhythm.Velocity;
import westtide.score.event.ScoredNote;

/**
 * A stretch in which notes of a part are silent, or softer.
 *
 * @param from first tick of the song
 * @param to tick after it
 * @param depth how silent, 10 to 100 %; 100 leaves nothing
 * @param which the notes that are meant
 */
record Silence(int from, int to, int depth, Predicate<ScoredNote> which) {
  private static final int WHOLE = 100;

  /** Whether a note is not played at all. */
  boolean leavesOut(ScoredNote note) {
    return depth == WHOLE && inside(note) && which.test(note);
  }

  /** A stroke of a drum is where it is written: a hair early or late takes it nowhere else. */
  private boolean inside(ScoredNote note) {
    int tick = note.struck().isPresent() ? note.written() : note.start();
    return tick >= from && tick < to;
  }

  /** A note as it is left: ended where it sounds into the silence, softer inside it. */
  ScoredNote left(ScoredNote note) {
    if (depth == WHOLE) {
      boolean into = note.start() < from && note.end() > from && which.test(note);
      return into ? note.endingAt(from) : note;
    }
    return inside(note) && which.test(note)
        ? note.withVelocity(Velocity.held(Math.round(note.velocity() * (WHOLE - depth) / 100.0)))
        : note;
  }
}
