package westtide.score;

import java.util.List;
import westtide.song.Part;

/**
 * A part with all its notes.
 *
 * @param part the part
 * @param notes its notes in order of start, then height
 */
public record ScoredPart(Part part, List<ScoredNote> notes) {
  /** Copies the notes. */
  public ScoredPart {
    notes = List.copyOf(notes);
  }

  /** The notes that start inside a stretch of ticks. */
  public List<ScoredNote> between(int from, int to) {
    return notes.stream().filter(note -> note.start() >= from && note.start() < to).toList();
  }
}
