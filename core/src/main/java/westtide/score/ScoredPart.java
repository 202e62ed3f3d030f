package westtide.score;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import westtide.score.event.AutomationTarget;
import westtide.score.event.Motion;
import westtide.score.event.NoteOrder;
import westtide.score.event.ScoredNote;
import westtide.song.Part;

/**
 * A part with all its notes, and the passages they belong to.
 *
 * @param part the part
 * @param notes its notes in order of start, then height
 * @param passages what it plays from section to section, in order; where it is out there is none
 * @param motions what moves of it over the song
 */
public record ScoredPart(
    Part part,
    List<ScoredNote> notes,
    List<Passage> passages,
    Map<AutomationTarget, Motion> motions) {
  /** A part over which nothing moves. */
  public ScoredPart(Part part, List<ScoredNote> notes, List<Passage> passages) {
    this(part, notes, passages, Map.of());
  }

  /** Copies the lists. */
  public ScoredPart {
    motions = Collections.unmodifiableMap(new LinkedHashMap<>(motions));
    notes = List.copyOf(notes);
    passages = List.copyOf(passages);
  }

  /** How something of it moves; still where it does not. */
  public Motion motion(AutomationTarget what) {
    return motions.getOrDefault(what, Motion.STILL);
  }

  /** The notes that start inside a stretch of ticks. */
  public List<ScoredNote> between(int from, int to) {
    return NoteOrder.between(notes, from, to);
  }

  /** Ticks of its longest note; 0 where it plays nothing. */
  public int longest() {
    int longest = 0;
    for (ScoredNote note : notes) {
      longest = Math.max(longest, note.ticks());
    }
    return longest;
  }

  /** The passage at a tick of the song, if the part is in there. */
  public Optional<Passage> passage(int tick) {
    int low = 0;
    int high = passages.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (passages.get(middle).end() <= tick) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    boolean there = low < passages.size() && passages.get(low).start() <= tick;
    return there ? Optional.of(passages.get(low)) : Optional.empty();
  }

  /** Whether it plays anything. */
  public boolean plays() {
    return !notes.isEmpty();
  }
}
