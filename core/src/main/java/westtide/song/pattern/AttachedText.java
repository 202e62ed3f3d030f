package westtide.song.pattern;

import java.util.List;
import westtide.rhythm.Meter;
import westtide.song.line.ChordDegree;
import westtide.song.line.ChordDegreeText;
import westtide.song.line.ChordNote;
import westtide.song.line.LineNote;
import westtide.song.line.LineText;
import westtide.song.line.TypedLine;
import westtide.text.Reading;

/**
 * The text of a line in members of the chords heard and degrees of the key, such as {@code "R - - .
 * ~R8 - R b7"}.
 *
 * @param meter the meter
 */
public record AttachedText(Meter meter) {
  /** The line as text. */
  public String format(Pattern.Attached line) {
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
  public Reading<Pattern.Attached> changed(Pattern.Attached before, String typed) {
    Reading<TypedLine<ChordDegree>> reading = text().read(typed);
    if (reading instanceof Reading.Problem<TypedLine<ChordDegree>> problem) {
      return Reading.problem(problem.column(), problem.message());
    }
    TypedLine<ChordDegree> line = reading.orElseThrow().filling(before.bars(), meter.ticksPerBar());
    List<ChordNote> notes =
        text().changed(notes(before), line).stream().map(AttachedText::note).toList();
    return new Reading.Understood<>(new Pattern.Attached(line.bars(), before.lowest(), notes));
  }

  private LineText<ChordDegree> text() {
    return new LineText<>(new ChordDegreeText(), meter.ticksPerBar());
  }

  private static List<LineNote<ChordDegree>> notes(Pattern.Attached line) {
    return line.notes().stream()
        .map(
            note ->
                new LineNote<>(
                    note.start(),
                    note.ticks(),
                    note.degree(),
                    note.octave(),
                    note.velocity(),
                    note.slide()))
        .toList();
  }

  private static ChordNote note(LineNote<ChordDegree> note) {
    return new ChordNote(
        note.start(), note.ticks(), note.pitch(), note.octave(), note.velocity(), note.slide());
  }
}
