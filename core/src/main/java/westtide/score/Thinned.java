package westtide.score;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import westtide.follow.Harmony;
import westtide.song.Cell;
import westtide.song.Level;
import westtide.song.Note;
import westtide.song.Part;
import westtide.song.Role;
import westtide.song.Thinning;
import westtide.song.chord.PlacedChord;
import westtide.theory.voicing.Voicing;

/**
 * What a cell leaves of a line, and how high it stands. A hint is thin as well as quiet: chords
 * give up their lowest note, lines stand an octave higher unless the cell has an octave of its own.
 *
 * @param part the part
 * @param cell what it does
 */
record Thinned(Part part, Cell cell) {
  private static final int CHORD = 3;

  /** The notes that are left; the same line where none is left out. */
  Line of(Line line, Supplier<Harmony> harmony) {
    Thinning thinning = cell.sound().thinning();
    boolean hinted = cell.level() == Level.HINT && part.role() == Role.CHORDS;
    if (!hinted && thinning.without().isEmpty() && thinning.softest() == 0) {
      return line;
    }
    Set<Integer> lowest = hinted ? lowest(line.notes()) : Set.of();
    Members members = new Members(line.notes(), harmony, thinning);
    List<Note> notes = new ArrayList<>();
    List<Integer> origins = new ArrayList<>();
    for (int i = 0; i < line.notes().size(); i++) {
      Note note = line.notes().get(i);
      if (!lowest.contains(i) && note.velocity() >= thinning.softest() && members.keeps(note)) {
        notes.add(note);
        origins.add(line.source(i).index());
      }
    }
    return Line.written(line.pattern(), notes, origins);
  }

  /** Octaves the stretch stands above where its part usually does. */
  int octaves() {
    int own = cell.sound().octave();
    boolean lifts = cell.level() == Level.HINT && part.role() == Role.LINE && own == 0;
    return lifts ? 1 : own;
  }

  /** The places of the lowest note of every strike of a chord. */
  private static Set<Integer> lowest(List<Note> notes) {
    Map<Integer, Integer> struck = new HashMap<>();
    Map<Integer, Integer> low = new HashMap<>();
    for (int i = 0; i < notes.size(); i++) {
      Note note = notes.get(i);
      struck.merge(note.start(), 1, Integer::sum);
      int index = i;
      low.merge(
          note.start(), i, (a, b) -> notes.get(a).key() <= notes.get(index).key() ? a : index);
    }
    Set<Integer> out = new HashSet<>();
    struck.forEach(
        (start, count) -> {
          if (count >= CHORD) {
            out.add(low.get(start));
          }
        });
    return out;
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
