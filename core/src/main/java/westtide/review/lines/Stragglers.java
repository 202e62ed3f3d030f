package westtide.review.lines;

import java.util.List;
import westtide.review.finding.Check;
import westtide.rhythm.Ticks;
import westtide.song.line.Note;

/** Notes off the grid that nearly all others keep to (common practice, no published source). */
final class Stragglers implements LineCheck {
  private static final double ON_GRID = 0.8;
  private static final int LEAST_NOTES = 5;

  @Override
  public void look(HeardLine line, FoundOnce out) {
    List<Note> notes = line.written();
    long on = notes.stream().filter(Stragglers::onGrid).count();
    if (notes.size() < LEAST_NOTES || on < ON_GRID * notes.size()) {
      return;
    }
    notes.stream().filter(note -> !onGrid(note)).forEach(note -> tell(line, note, out));
  }

  private static void tell(HeardLine line, Note note, FoundOnce out) {
    int goal = Math.round(note.start() / (float) Ticks.PER_STEP) * Ticks.PER_STEP;
    int off = note.start() - goal;
    out.note(
        line.id(Check.LINES_STRAGGLER, note),
        line.key().pitch(note.key())
            + " is "
            + Math.abs(off)
            + " ticks "
            + (off < 0 ? "early" : "late"),
        line.heardFirst(note),
        "Every other note of the pattern is on the grid; one that is not sounds like a slip.",
        "on the grid",
        line.put("Change a note", note, n -> n.withStart(goal)));
  }

  /** On sixteenths, thirty-seconds or triplets. */
  private static boolean onGrid(Note note) {
    return note.start() % (Ticks.PER_STEP / 2) == 0 || note.start() % (Ticks.PER_QUARTER / 6) == 0;
  }
}
