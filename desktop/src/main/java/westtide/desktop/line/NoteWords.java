package westtide.desktop.line;

import java.util.IntSummaryStatistics;
import westtide.song.line.Note;
import westtide.theory.Key;
import westtide.theory.Pitch;

/** A note in words, such as {@code "F♯5 · degree 1 · at 1.2.1 · 2 steps · velocity 92"}. */
final class NoteWords {
  private static final int STEP = 240;

  private NoteWords() {}

  static String of(Note note, HeardLine line) {
    Key key = line.song().brief().key();
    String chord = line.harmony().at(Math.min(note.start(), line.ticks() - 1)).chord().toString();
    return key.pitch(note.key())
        + " · "
        + Math.round(Pitch.hertz(note.key()))
        + " Hz · degree "
        + key.degreeOf(note.key() % 12)
        + " over "
        + chord
        + " · at "
        + line.position(note.start())
        + " · "
        + steps(note.ticks())
        + " · velocity "
        + note.velocity()
        + (note.slide() > 0 ? " · slide over " + steps(note.slide()) : "");
  }

  /** From which pitch to which a line goes, with frequencies. */
  static String pitches(HeardLine line) {
    IntSummaryStatistics keys = line.notes().stream().mapToInt(Note::key).summaryStatistics();
    if (keys.getCount() == 0) {
      return "";
    }
    String low = pitch(keys.getMin(), line);
    String high = pitch(keys.getMax(), line);
    return low.equals(high) ? low + ". " : low + " to " + high + ". ";
  }

  private static String pitch(int midi, HeardLine line) {
    return line.song().brief().key().pitch(midi) + " " + Math.round(Pitch.hertz(midi)) + " Hz";
  }

  /** Ticks in steps, such as {@code "2 steps"} or {@code "0.5 steps"}. */
  static String steps(int ticks) {
    if (ticks % STEP == 0) {
      return ticks / STEP + (ticks == STEP ? " step" : " steps");
    }
    return String.format(java.util.Locale.ROOT, "%.2f steps", ticks / (double) STEP);
  }
}
