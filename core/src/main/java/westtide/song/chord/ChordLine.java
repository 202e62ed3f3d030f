package westtide.song.chord;

import java.util.List;
import java.util.Optional;
import westtide.rhythm.Meter;
import westtide.text.Reading;
import westtide.theory.Key;

/**
 * The typed form of a progression, such as {@code "i9 | VImaj7 . . <III@1 | iv7:12 - | %"}.
 *
 * <p>One bar stands between bar lines. Names and Roman numerals may be mixed. Its words share the
 * bar equally; {@code :6} gives a word six sixteenths, and the others share what is left. {@code .}
 * holds the chord before it, also across a bar line, and {@code -} is a rest. {@code <} before a
 * chord pushes it a sixteenth early, {@code <<} an eighth; {@code @1} after it asks for the first
 * inversion. {@code %} repeats the bar before, and {@code ( … )x3} repeats what it holds.
 */
public final class ChordLine {
  private final Key key;
  private final Meter meter;

  private ChordLine(Key key, Meter meter) {
    this.key = key;
    this.meter = meter;
  }

  /** Lines read and written in a key and meter. */
  public static ChordLine in(Key key, Meter meter) {
    return new ChordLine(key, meter);
  }

  /** Reads a line into chords with lengths that fill whole bars. */
  public Reading<List<ChordSpan>> parse(String line) {
    Reading<List<List<ChordWord>>> bars = new ChordBars(line).read();
    if (bars instanceof Reading.Problem<List<List<ChordWord>>> problem) {
      return Reading.problem(problem.column(), problem.message());
    }
    ChordRow row = new ChordRow(key, meter);
    for (List<ChordWord> bar : bars.orElseThrow()) {
      Optional<Reading<List<ChordSpan>>> problem = row.add(bar);
      if (problem.isPresent()) {
        return problem.get();
      }
    }
    if (row.spans().isEmpty()) {
      return Reading.problem(1, "type chords such as F#m9 | Dmaj7 or numerals such as i9 | VImaj7");
    }
    return new Reading.Understood<>(List.copyOf(row.spans()));
  }

  /**
   * Writes chords as a line that {@link #parse} reads back to the same chords, lengths, pushes,
   * inversions and rests.
   */
  public String format(Progression progression) {
    return new ChordText(progression, key, meter).toString();
  }
}
