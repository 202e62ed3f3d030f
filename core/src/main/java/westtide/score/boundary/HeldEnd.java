package westtide.score.boundary;

import java.util.ArrayList;
import java.util.List;
import westtide.score.event.NoteOrder;
import westtide.score.event.ScoredNote;

/**
 * What sounds when a stretch of one chord begins is held to its end; nothing else is struck in it.
 */
final class HeldEnd {
  private HeldEnd() {}

  /** The notes with a stretch held; {@code late} ticks after its start still count as its start. */
  static List<ScoredNote> held(List<ScoredNote> notes, int from, int to, int late) {
    List<ScoredNote> inside = NoteOrder.between(notes, from, to);
    int first = inside.isEmpty() ? to : inside.get(0).start();
    boolean strikes = first < from + late;
    List<ScoredNote> out = new ArrayList<>(notes.size());
    for (ScoredNote note : notes) {
      boolean within = note.start() >= from && note.start() < to;
      boolean rings = note.start() < from && note.end() > from;
      if (within && strikes && note.start() == first) {
        out.add(note.endingAt(to));
      } else if (rings && !strikes) {
        out.add(note.endingAt(to));
      } else if (!within) {
        out.add(rings && note.end() > first ? note.endingAt(first) : note);
      }
    }
    return out;
  }
}
