package westtide.score;

import java.util.List;
import westtide.follow.ChordDegrees;
import westtide.follow.Harmony;
import westtide.rhythm.Meter;
import westtide.score.line.Harmonies;
import westtide.score.line.Lines;
import westtide.song.Part;
import westtide.song.Song;
import westtide.song.edit.Edit;
import westtide.song.edit.line.LineEdits;
import westtide.song.id.PartId;
import westtide.song.line.Note;
import westtide.song.pattern.NamedPattern;
import westtide.song.pattern.Pattern;

/**
 * Turns what a rule plays into written notes that stay attached to the chords, so that they still
 * follow chord, key and form.
 */
public final class WriteOut {
  private static final int LOWEST = 12;
  private static final int HIGHEST = 72;

  private WriteOut() {}

  /**
   * Writes out a pattern as it is played in the section at a place; a pattern that is written
   * already stays.
   */
  public static Edit of(PartId part, String pattern, int place) {
    return Edit.named(
        song -> "Write out " + pattern + " of " + song.part(part).map(Part::name).orElse("a part"),
        song -> written(song, part, pattern, place));
  }

  private static Song written(Song song, PartId id, String pattern, int place) {
    Part part = song.part(id).orElseThrow();
    if (!(part.pattern(pattern).pattern() instanceof Pattern.Following)) {
      return song;
    }
    Harmonies harmonies = new Harmonies(song);
    Harmony harmony = harmonies.of(part, pattern, place).harmony();
    List<Note> notes = new Lines(song, harmonies).of(part, pattern, place).notes();
    Meter meter = song.brief().meter();
    int lowest = lowest(part.pattern(pattern), notes);
    ChordDegrees degrees = new ChordDegrees(harmony, song.brief().key(), lowest);
    ChordDegrees.Written line = degrees.written(notes, meter.ticksPerBar());
    Pattern out = new Pattern.Attached(line.bars(), degrees.lowest(), line.notes());
    return new LineEdits(id, pattern).replace("", out).apply(song);
  }

  /** Where the octave of the pattern begins; where it has none, where its notes do. */
  private static int lowest(NamedPattern pattern, List<Note> notes) {
    int own =
        pattern.lowest().orElseGet(() -> notes.stream().mapToInt(Note::key).min().orElse(LOWEST));
    return Math.max(LOWEST, Math.min(HIGHEST, own));
  }
}
