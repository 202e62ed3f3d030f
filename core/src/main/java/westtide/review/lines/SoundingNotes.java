package westtide.review.lines;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.id.PartId;

/** Which notes of another part sound with a note. */
final class SoundingNotes {
  private final Map<PartId, Integer> longest = new HashMap<>();

  List<ScoredNote> of(ScoredPart part, ScoredNote note) {
    int back = longest.computeIfAbsent(part.part().id(), id -> part.longest());
    List<ScoredNote> with = new ArrayList<>();
    for (ScoredNote other : part.between(note.start() - back, note.end())) {
      if (other.end() > note.start() && other.start() < note.end()) {
        with.add(other);
      }
    }
    return with;
  }
}
