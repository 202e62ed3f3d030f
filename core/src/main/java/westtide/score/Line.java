package westtide.score;

import java.util.List;
import westtide.song.Note;

/**
 * What a pitched pattern plays over a whole section, from its start.
 *
 * @param pattern the name of the pattern
 * @param notes its notes in order of start
 * @param period how many notes of the pattern the list goes through before it repeats
 */
record Line(String pattern, List<Note> notes, int period) {
  /** Where a note of the list comes from. */
  Source source(int index) {
    return new Source(pattern, period == 0 ? index : index % period);
  }
}
