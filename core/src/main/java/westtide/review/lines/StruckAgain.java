package westtide.review.lines;

import java.util.Comparator;
import westtide.review.finding.Check;
import westtide.song.line.Note;

/** A key that is struck again while it still sounds. */
final class StruckAgain implements LineCheck {
  @Override
  public void look(HeardLine line, FoundOnce out) {
    for (Note note : line.written()) {
      line.written().stream()
          .filter(n -> n.key() == note.key() && n.start() > note.start() && n.start() < note.end())
          .min(Comparator.comparingInt(Note::start))
          .ifPresent(next -> tell(line, note, next, out));
    }
  }

  private static void tell(HeardLine line, Note note, Note next, FoundOnce out) {
    out.note(
        line.id(Check.LINES_OVERLAP, note),
        line.key().pitch(note.key()) + " is struck again while it sounds",
        line.heardFirst(note),
        "The first note's end cuts the second off on many instruments.",
        "end it there",
        line.put("Change a note", note, n -> n.withTicks(next.start() - n.start())));
  }
}
