package westtide.follow;

import java.util.List;
import java.util.Optional;
import westtide.song.line.ChordDegree;
import westtide.song.line.ChordNote;
import westtide.theory.Interval;
import westtide.theory.Key;
import westtide.theory.NoteName;

/**
 * Bare figures of a low line, which are degrees of the key: where the member of the chord heard
 * that has the same number is another note, that is said, since either may have been meant.
 *
 * @param degrees the heights of the line
 */
public record KeyFigures(ChordDegrees degrees) {
  /** What is said of the first figure that could mean two notes; empty where none could. */
  public Optional<String> told(List<ChordNote> notes) {
    return notes.stream()
        .filter(note -> note.degree().ofKey() && note.start() < degrees.harmony().ticks())
        .filter(note -> Math.floorMod(key(note) - member(note), 12) != 0)
        .findFirst()
        .map(this::told);
  }

  private int key(ChordNote note) {
    return degrees.midi(note, note.start());
  }

  private int member(ChordNote note) {
    ChordDegree member = new ChordDegree(note.degree().tone(), 0, ChordDegree.Of.CHORD);
    return degrees.midi(
        new ChordNote(note.start(), 1, member, 0, note.velocity(), 0), note.start());
  }

  private String told(ChordNote note) {
    ChordDegree figure = note.degree();
    Key key = degrees.key();
    return figure
        + " is a degree of "
        + key
        + ", "
        + name(key, Interval.ofDegree(figure.tone(), figure.shift()))
        + "; the member of "
        + degrees.harmony().at(note.start()).chord()
        + " is R"
        + (figure.tone() == 1 ? "" : figure.tone())
        + ", "
        + name(key, key.degreeOf(Math.floorMod(member(note), 12)))
        + ".";
  }

  private static NoteName name(Key key, Interval degree) {
    return key.tonic().plus(degree).simplest();
  }
}
