package westtide.song.edit;

import java.util.ArrayList;
import java.util.List;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Notation;
import westtide.song.chord.Progression;
import westtide.theory.Chord;

/** Edits of progressions. */
public final class ChordEdits {
  private ChordEdits() {}

  /** Replaces all chords of a progression by those of a typed line. */
  public static Edit line(String progression, List<ChordSpan> spans) {
    return Edit.of(
        "Type the chords of the " + progression,
        song -> song.withProgression(song.progression(progression).withSpans(spans)));
  }

  /** Replaces one chord, counted from 0; its length stays. */
  public static Edit replace(String progression, int index, Chord chord) {
    return Edit.of(
        "Put " + chord + " into the " + progression,
        song -> {
          Progression row = song.progression(progression);
          List<ChordSpan> spans = new ArrayList<>(row.spans());
          spans.set(index, spans.get(index).withChord(chord));
          return song.withProgression(row.withSpans(spans));
        });
  }

  /** Writes a progression in names or in numerals. */
  public static Edit notation(String progression, Notation notation) {
    return Edit.of(
        notation == Notation.NAMES ? "Write chord names" : "Write numerals",
        song -> song.withProgression(song.progression(progression).withNotation(notation)));
  }
}
