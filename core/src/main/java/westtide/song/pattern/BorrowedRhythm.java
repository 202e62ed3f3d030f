package westtide.song.pattern;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Meter;
import westtide.song.id.PartId;
import westtide.song.line.Note;

/**
 * A line that takes its rhythm from another part and keeps its own notes: whenever the other part
 * strikes, the next of its notes is played, as long as the other part holds.
 *
 * @param model the part whose rhythm is played
 * @param notes its own notes, in order; their starts and lengths are kept for the day it stands
 *     alone again
 */
public record BorrowedRhythm(PartId model, List<Note> notes) implements FollowRule {
  /** Copies the notes, of which there must be one. */
  public BorrowedRhythm {
    notes = notes.stream().sorted(Comparator.comparingInt(Note::start)).toList();
    if (notes.isEmpty()) {
      throw new IllegalArgumentException(
          "a line that borrows a rhythm needs notes of its own, but had none");
    }
  }

  /** The same rhythm with other notes. */
  public BorrowedRhythm withNotes(List<Note> other) {
    return new BorrowedRhythm(model, other);
  }

  /** The line in the rhythm of its own, in as many bars as its notes fill. */
  public Pattern.Written alone(Meter meter) {
    int last = notes.stream().mapToInt(Note::start).max().orElse(0);
    int bars = 1;
    while (bars * meter.ticksPerBar() <= last && bars < 16) {
      bars *= 2;
    }
    return new Pattern.Written(bars, notes);
  }

  @Override
  public Optional<PartId> hears() {
    return Optional.of(model);
  }

  @Override
  public <R> R accept(Kinds<R> kinds) {
    return kinds.borrowed(this);
  }
}
