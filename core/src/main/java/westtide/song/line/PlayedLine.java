package westtide.song.line;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import westtide.rhythm.Swing;

/**
 * Turns what was played over a swinging song into written notes: the swing is taken off, since the
 * score adds it again, and starts go some of the way to the grid. At 0 % they stay to the tick.
 *
 * @param swing how the song swings
 * @param gridTicks ticks from one line of the grid to the next
 * @param strength how much of the way to the grid, 0 to 100 %
 * @param ticks length of the pattern
 */
public record PlayedLine(Swing swing, int gridTicks, int strength, int ticks) {
  private static final int SHORTEST = 30;

  /** Checks the strength. */
  public PlayedLine {
    if (strength < 0 || strength > 100) {
      throw new IllegalArgumentException("quantise strength is 0 to 100 %, but was " + strength);
    }
  }

  /**
   * The written notes, in order; what leads into the first beat stands at it, no note crosses the
   * end of the pattern, and of two strikes of one key at one place the louder stays.
   */
  public List<Note> notes(List<PlayedNote> played) {
    List<Note> out = new ArrayList<>();
    for (PlayedNote note : played) {
      Note written = written(note);
      Note twin =
          out.stream()
              .filter(n -> n.start() == written.start() && n.key() == written.key())
              .findFirst()
              .orElse(null);
      if (twin == null) {
        out.add(written);
      } else if (written.velocity() > twin.velocity()) {
        out.set(out.indexOf(twin), written);
      }
    }
    out.sort(Comparator.comparingInt(Note::start).thenComparingInt(Note::key));
    return apart(out);
  }

  private Note written(PlayedNote note) {
    long straight = swing.written(note.tick());
    long goal = Math.floorDiv(straight + gridTicks / 2, (long) gridTicks) * gridTicks;
    long moved = straight + Math.round((goal - straight) * strength / 100.0);
    long held = moved >= ticks - SHORTEST ? 0 : Math.max(0, moved);
    int length = Math.max(SHORTEST, Math.min(note.ticks(), ticks - (int) held));
    return new Note((int) held, length, note.key(), note.velocity());
  }

  /** A key that is struck again ends where it is struck. */
  private static List<Note> apart(List<Note> notes) {
    List<Note> out = new ArrayList<>(notes);
    for (int i = 0; i < out.size(); i++) {
      Note note = out.get(i);
      for (int j = i + 1; j < out.size() && out.get(j).start() < note.end(); j++) {
        if (out.get(j).key() == note.key() && out.get(j).start() > note.start()) {
          out.set(i, note.withTicks(out.get(j).start() - note.start()));
          break;
        }
      }
    }
    return out;
  }
}
