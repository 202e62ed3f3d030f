package westtide.song.edit.line;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import westtide.rhythm.Meter;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;
import westtide.theory.Interval;
import westtide.theory.Key;

/**
 * Edits of one written line.
 *
 * @param part the part's id
 * @param pattern the pattern's name
 */
public record LineEdits(PartId part, String pattern) {
  /** Takes notes away and puts others in; either may be none. */
  public Edit put(String name, List<Note> without, List<Note> with) {
    return notes(
        name,
        notes -> {
          List<Note> out = new ArrayList<>(notes);
          without.forEach(out::remove);
          out.addAll(with);
          return out;
        });
  }

  /** Moves every note by semitones; notes that would leave 0 to 127 stop the move. */
  public Edit transpose(int semitones) {
    String way = (semitones > 0 ? " up " : " down ") + Interval.semitones(Math.abs(semitones));
    return Edit.named(
        song -> "Move " + song.part(part).map(Part::name).orElse("the line") + way,
        song -> song.withPart(part, p -> changed(song, p, notes -> moved(notes, semitones))));
  }

  /** Puts another line in its place. */
  public Edit replace(String name, Pattern line) {
    return Edit.of(name, song -> song.withPart(part, p -> p.with(new NamedPattern(pattern, line))));
  }

  /** Changes every note. */
  public Edit each(String name, UnaryOperator<Note> change) {
    return notes(name, notes -> notes.stream().map(change).toList());
  }

  private Edit notes(String name, UnaryOperator<List<Note>> change) {
    return Edit.of(name, song -> song.withPart(part, p -> changed(song, p, change)));
  }

  private Part changed(Song song, Part p, UnaryOperator<List<Note>> change) {
    NamedPattern old = p.pattern(pattern);
    if (old.pattern() instanceof Pattern.Written written) {
      return p.with(old.withPattern(written.withNotes(change.apply(written.notes()))));
    }
    if (old.pattern() instanceof Pattern.Phrase phrase) {
      Key key = song.brief().key();
      Meter meter = song.brief().meter();
      List<Note> notes = change.apply(phrase.written(key, meter).notes());
      return p.with(old.withPattern(phrase.leadingTo(notes, key, meter)));
    }
    return p;
  }

  private static List<Note> moved(List<Note> notes, int semitones) {
    boolean fits =
        notes.stream().allMatch(n -> n.key() + semitones >= 0 && n.key() + semitones <= 127);
    return fits ? notes.stream().map(n -> n.withKey(n.key() + semitones)).toList() : notes;
  }
}
