package westtide.song.pattern;

import java.util.List;
import westtide.rhythm.Meter;
import westtide.song.line.DegreeText;
import westtide.song.line.LineNote;
import westtide.song.line.LineText;
import westtide.song.line.Note;
import westtide.song.line.TypedLine;
import westtide.text.Reading;
import westtide.theory.Key;

/**
 * The text of a written line in degrees of the key, such as {@code "5 - . b6 5 - - - | b7"}. The
 * octave most of the line lies in needs no marks.
 *
 * @param degrees how its pitches are written
 * @param meter the meter
 */
public record WrittenText(DegreeText degrees, Meter meter) {
  /** The text of a line in a key. */
  public static WrittenText of(Pattern.Written line, Key key, Meter meter) {
    List<Integer> keys = line.notes().stream().map(Note::key).toList();
    return new WrittenText(DegreeText.around(key, keys), meter);
  }

  /** The line as text. */
  public String format(Pattern.Written line) {
    return text().format(notes(line), line.bars());
  }

  /** How many bars a text fills; a problem names its column. */
  public Reading<Integer> bars(String typed) {
    return text().bars(typed);
  }

  /**
   * What a line becomes when its text is changed to that; a problem names its column. A text of
   * fewer bars that does not fit a whole number of times is repeated until it fills those of the
   * line.
   */
  public Reading<Pattern.Written> changed(Pattern.Written before, String typed) {
    Reading<TypedLine<Integer>> reading = text().read(typed);
    if (reading instanceof Reading.Problem<TypedLine<Integer>> problem) {
      return Reading.problem(problem.column(), problem.message());
    }
    TypedLine<Integer> line =
        named(reading.orElseThrow()).filling(before.bars(), meter.ticksPerBar());
    List<LineNote<Integer>> notes = text().changed(notes(before), line);
    for (LineNote<Integer> note : notes) {
      int key = key(note);
      if (key < 0 || key > 127) {
        return Reading.problem(1, "an octave mark leads beyond the notes of MIDI, C−1 to G9");
      }
    }
    LineCycle cycle = line.bars() == before.bars() ? before.cycle() : LineCycle.NONE;
    return new Reading.Understood<>(
        new Pattern.Written(
            line.bars(), notes.stream().map(note -> note(note, before)).toList(), cycle));
  }

  private LineText<Integer> text() {
    return new LineText<>(degrees, meter.ticksPerBar());
  }

  /** A note by name counts its octave from home too. */
  private TypedLine<Integer> named(TypedLine<Integer> line) {
    return line.withPitches(pitch -> home(pitch), pitch -> octave(pitch));
  }

  private List<LineNote<Integer>> notes(Pattern.Written line) {
    return line.notes().stream()
        .map(
            note ->
                new LineNote<>(
                    note.start(),
                    note.ticks(),
                    home(note.key()),
                    octave(note.key()),
                    note.velocity(),
                    note.slide()))
        .toList();
  }

  private int home(int key) {
    return degrees.home() + Math.floorMod(key - degrees.home(), 12);
  }

  private int octave(int key) {
    return Math.floorDiv(key - degrees.home(), 12);
  }

  private static int key(LineNote<Integer> note) {
    return note.pitch() + 12 * note.octave();
  }

  /** A note of the text; in how many passes it plays is kept from the note that stood there. */
  private static Note note(LineNote<Integer> note, Pattern.Written before) {
    int every =
        before.notes().stream()
            .filter(old -> old.start() == note.start() && old.key() == key(note))
            .mapToInt(Note::every)
            .findFirst()
            .orElse(1);
    return new Note(note.start(), note.ticks(), key(note), note.velocity(), note.slide(), every);
  }
}
