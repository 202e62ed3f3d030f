package westtide.desktop.line;

import java.util.List;
import westtide.song.line.Note;

/**
 * What the pages below a line show.
 *
 * @param line the line
 * @param chosen its chosen notes
 */
public record LineScene(HeardLine line, List<Note> chosen) {
  /** The notes something is done to: those that are chosen, or all. */
  public List<Note> meant() {
    return chosen.isEmpty() ? line.notes() : chosen;
  }
}
