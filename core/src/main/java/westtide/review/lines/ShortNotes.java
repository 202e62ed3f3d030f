package westtide.review.lines;

import westtide.review.finding.Check;
import westtide.rhythm.Ticks;
import westtide.song.line.Note;

/** Notes too short to be meant (common practice, no published source). */
final class ShortNotes implements LineCheck {
  private static final int SHORTEST = 20;

  @Override
  public void look(HeardLine line, FoundOnce out) {
    for (Note note : line.written()) {
      if (note.ticks() < SHORTEST) {
        out.note(
            line.id(Check.LINES_SHORT, note),
            line.key().pitch(note.key()) + " lasts " + note.ticks() + " ticks",
            line.heardFirst(note),
            "So short a note is a click or nothing; it is usually a slip of the hand.",
            "a sixteenth",
            line.put("Change a note", note, n -> n.withTicks(Ticks.PER_STEP)));
      }
    }
  }
}
