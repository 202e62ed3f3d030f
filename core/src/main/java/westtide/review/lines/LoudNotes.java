package westtide.review.lines;

import java.util.List;
import westtide.review.finding.Check;
import westtide.song.line.Note;

/** Notes louder than both neighbours by so much that it sounds like a slip (common practice). */
final class LoudNotes implements LineCheck {
  private static final int OUTLIER = 40;

  @Override
  public void look(HeardLine line, FoundOnce out) {
    List<Note> notes = line.written();
    for (int i = 1; i + 1 < notes.size(); i++) {
      Note note = notes.get(i);
      int around = Math.max(notes.get(i - 1).velocity(), notes.get(i + 1).velocity());
      if (note.velocity() - around >= OUTLIER) {
        out.note(
            line.id(Check.LINES_LOUD, note),
            line.key().pitch(note.key()) + " at velocity " + note.velocity() + " among " + around,
            line.heardFirst(note),
            "An accent of 40 or more over both neighbours is mostly an accident.",
            "velocity " + around,
            line.put("Change a note", note, n -> n.withVelocity(around)));
      }
    }
  }
}
