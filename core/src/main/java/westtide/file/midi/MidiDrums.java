package westtide.file.midi;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import westtide.score.ScoredPart;
import westtide.score.event.ScoredNote;
import westtide.song.drum.DrumVoice;

/**
 * Drum strokes as General MIDI can say them: one note sounds once at a time, and toms of other
 * pitches are the nearest toms of the percussion map that no other lane is written as. Other
 * pitched drums keep their note; the map has no way to tune them.
 */
final class MidiDrums {
  /** Low floor to high tom (General MIDI 1 percussion map, from memory). */
  private static final int[] TOMS = {41, 43, 45, 47, 48, 50};

  private MidiDrums() {}

  /** The strokes as notes; of two on one note at one tick the louder stays. */
  static List<ScoredNote> written(ScoredPart part, LaneNotes notes) {
    List<ScoredNote> sorted =
        part.notes().stream()
            .map(stroke -> keyed(part, stroke.withKey(notes.note(part.part().id(), stroke)), notes))
            .sorted(
                Comparator.comparingInt(ScoredNote::start)
                    .thenComparing(ScoredNote::velocity, Comparator.reverseOrder()))
            .toList();
    List<ScoredNote> out = new ArrayList<>();
    Map<Integer, Integer> last = new HashMap<>();
    for (ScoredNote note : sorted) {
      Integer before = last.get(note.key());
      if (before != null && out.get(before).start() == note.start()) {
        continue;
      }
      if (before != null && out.get(before).end() > note.start()) {
        out.set(before, out.get(before).endingAt(note.start()));
      }
      last.put(note.key(), out.size());
      out.add(note);
    }
    return out;
  }

  private static ScoredNote keyed(ScoredPart part, ScoredNote note, LaneNotes notes) {
    int semitones = note.struck().map(ScoredNote.Struck::semitones).orElse(0);
    if (semitones == 0 || !note.of(DrumVoice.TOM)) {
      return note;
    }
    LaneNotes.Lane lane = new LaneNotes.Lane(part.part().id(), note.struck().get().lane());
    int wanted = note.key() + semitones;
    int nearest =
        IntStream.of(TOMS)
            .filter(tom -> !notes.hasBeside(lane, tom))
            .boxed()
            .min(Comparator.comparingInt(tom -> Math.abs(tom - wanted)))
            .orElse(note.key());
    return note.withKey(nearest);
  }
}
