package westtide.score.line;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import westtide.follow.Harmony;
import westtide.song.chord.PlacedChord;
import westtide.song.form.Cell;
import westtide.song.form.Thinning;
import westtide.song.line.Note;
import westtide.theory.voicing.ChordMember;
import westtide.theory.voicing.Voicing;

/**
 * What a cell leaves of a line. The bass of a chord is left out where three or more notes strike
 * together, so that strikes of one or two stay whole.
 *
 * @param cell what the part does
 */
public record Thinned(Cell cell) {
  private static final int CHORD = 3;

  /** The notes that are left; the same line where none is left out. */
  public Line of(Line line, Supplier<Harmony> harmony) {
    Thinning thinning = cell.sound().thinning();
    if (thinning.without().isEmpty() && thinning.softest() == 0) {
      return line;
    }
    Members members = new Members(line.notes(), harmony, thinning);
    List<Note> notes = new ArrayList<>();
    List<Integer> origins = new ArrayList<>();
    for (int i = 0; i < line.notes().size(); i++) {
      Note note = line.notes().get(i);
      if (note.velocity() >= thinning.softest() && members.keeps(note)) {
        notes.add(note);
        origins.add(line.source(i).index());
      }
    }
    return Line.written(line.pattern(), notes, origins);
  }

  /** What each note is in the chord heard. */
  private static final class Members {
    private final List<Note> notes;
    private final Supplier<Harmony> harmony;
    private final Thinning thinning;
    private final Map<Integer, Voicing> struck = new HashMap<>();

    Members(List<Note> notes, Supplier<Harmony> harmony, Thinning thinning) {
      this.notes = notes;
      this.harmony = harmony;
      this.thinning = thinning;
    }

    boolean keeps(Note note) {
      if (thinning.without().isEmpty()) {
        return true;
      }
      Harmony heard = harmony.get();
      PlacedChord chord = heard.at(Math.max(0, Math.min(note.start(), heard.ticks() - 1)));
      Voicing together = struck.computeIfAbsent(note.start(), this::together);
      return thinning.without().stream()
          .filter(member -> member != ChordMember.BASS || together.keys().size() >= CHORD)
          .noneMatch(member -> member.is(note.key(), together, chord.chord()));
    }

    private Voicing together(int start) {
      List<Integer> keys =
          notes.stream()
              .filter(n -> n.start() == start)
              .map(Note::key)
              .distinct()
              .sorted()
              .toList();
      return new Voicing(keys);
    }
  }
}
