package westtide.song.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import westtide.song.Note;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Variant;
import westtide.song.id.PartId;

/**
 * Edits of one written line.
 *
 * @param part the part's id
 * @param variant the pattern's name
 */
public record LineEdits(PartId part, String variant) {
  /** Adds a note. */
  public Edit add(Note note) {
    return notes("Place a note", notes -> with(notes, note));
  }

  /** Takes a note away. */
  public Edit remove(Note note) {
    return notes("Delete a note", notes -> without(notes, note));
  }

  /** Puts a note in place of another; a drag is one edit. */
  public Edit replace(Note old, Note changed) {
    return notes("Move a note", notes -> with(without(notes, old), changed));
  }

  /** Moves every note by semitones; notes that would leave 0 to 127 stop the move. */
  public Edit transpose(int semitones) {
    String way = (semitones > 0 ? " up " : " down ") + Math.abs(semitones) + " semitones";
    return Edit.named(
        song -> "Move " + song.part(part).map(Part::name).orElse("the line") + way,
        song -> song.withPart(part, p -> changed(p, notes -> moved(notes, semitones))));
  }

  /** Puts another line in its place. */
  public Edit replace(String name, Pattern.Written line) {
    return Edit.of(name, song -> song.withPart(part, p -> p.with(new Variant(variant, line))));
  }

  /** Changes every note. */
  public Edit each(String name, UnaryOperator<Note> change) {
    return notes(name, notes -> notes.stream().map(change).toList());
  }

  private Edit notes(String name, UnaryOperator<List<Note>> change) {
    return Edit.of(name, song -> song.withPart(part, p -> changed(p, change)));
  }

  private Part changed(Part p, UnaryOperator<List<Note>> change) {
    Variant old = p.variant(variant);
    if (old.pattern() instanceof Pattern.Written written) {
      return p.with(old.withPattern(written.withNotes(change.apply(written.notes()))));
    }
    return p;
  }

  private static List<Note> with(List<Note> notes, Note note) {
    List<Note> more = new ArrayList<>(notes);
    more.add(note);
    return more;
  }

  private static List<Note> without(List<Note> notes, Note note) {
    List<Note> fewer = new ArrayList<>(notes);
    fewer.remove(note);
    return fewer;
  }

  private static List<Note> moved(List<Note> notes, int semitones) {
    boolean fits =
        notes.stream().allMatch(n -> n.key() + semitones >= 0 && n.key() + semitones <= 127);
    return fits ? notes.stream().map(n -> n.withKey(n.key() + semitones)).toList() : notes;
  }
}
