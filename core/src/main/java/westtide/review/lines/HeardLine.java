package westtide.review.lines;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import westtide.review.finding.Check;
import westtide.review.finding.FindingId;
import westtide.rhythm.Position;
import westtide.score.Passage;
import westtide.score.Score;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.HeardPlace;
import westtide.song.Role;
import westtide.song.edit.Edit;
import westtide.song.edit.line.LineEdits;
import westtide.song.line.Note;
import westtide.song.pattern.LineFit;
import westtide.song.pattern.Pattern;
import westtide.theory.Key;

/**
 * A line where one of its passages is heard.
 *
 * @param score the whole song
 * @param part the line
 * @param passage what it plays there
 */
record HeardLine(Score score, ScoredPart part, Passage passage) {
  Key key() {
    return score.song().brief().key();
  }

  String name() {
    return part.part().name();
  }

  /** The parts of chords a line is heard over. */
  List<ScoredPart> beds() {
    return score.parts(Role.CHORDS);
  }

  /** The pattern's own notes; none where it follows a rule. */
  List<Note> written() {
    return passage.line().map(Pattern.Written::notes).orElse(List.of());
  }

  /** The notes as they are written, from the section's start, over the chords heard there. */
  LineFit fit() {
    List<Note> notes = new ArrayList<>(passage.notes().size());
    for (ScoredNote note : passage.notes()) {
      if (note.since() == 0 && note.written() >= passage.start()) {
        int start = note.written() - passage.sectionStart();
        notes.add(new Note(start, note.ticks(), note.key(), note.velocity()));
      }
    }
    return new LineFit(notes, passage.harmony().chords(), score.song().brief().meter());
  }

  /** What a note of this pattern is known by. */
  FindingId id(Check check, Note note) {
    return FindingId.of(check, part.part().id(), passage.name()).at(note);
  }

  /** Where a sounding note stands, such as {@code "bar 3.2"}. */
  String at(ScoredNote note) {
    Position at = score.song().barLines().position(note.start());
    return "bar " + at.bar() + "." + at.beat();
  }

  /** Where a note of the pattern is first heard. */
  String heardFirst(Note note) {
    HeardPlace places = new HeardPlace(score.song());
    return name()
        + " "
        + passage.name()
        + ", "
        + places.of(part.part().id(), passage.name(), note.start());
  }

  /** A change of one note of the pattern. */
  Edit put(String name, Note note, UnaryOperator<Note> change) {
    return new LineEdits(part.part().id(), passage.name())
        .put(name, List.of(note), List.of(change.apply(note)));
  }
}
