package westtide.score.boundary;

import java.util.ArrayList;
import java.util.List;
import westtide.score.event.ScoredNote;

/** The silences of one part, applied to its notes. */
final class Silences {
  private final List<Silence> silences = new ArrayList<>();

  void add(Silence silence) {
    silences.add(silence);
  }

  boolean none() {
    return silences.isEmpty();
  }

  /** The notes that are left. */
  List<ScoredNote> left(List<ScoredNote> notes) {
    List<ScoredNote> out = new ArrayList<>(notes.size());
    for (ScoredNote note : notes) {
      if (silences.stream().noneMatch(silence -> silence.leavesOut(note))) {
        ScoredNote kept = note;
        for (Silence silence : silences) {
          kept = silence.left(kept);
        }
        out.add(kept);
      }
    }
    return out;
  }

  /** What transitions add is silenced by the others only where it begins before them. */
  List<ScoredNote> leftOfMarks(List<ScoredNote> added) {
    List<ScoredNote> out = new ArrayList<>(added.size());
    for (ScoredNote note : added) {
      ScoredNote kept = note;
      for (Silence silence : silences) {
        boolean into = note.start() < silence.from() && silence.depth() == 100;
        kept = into && silence.which().test(note) ? silence.left(kept) : kept;
      }
      out.add(kept);
    }
    return out;
  }
}
