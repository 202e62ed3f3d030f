package westtide.score.line;

import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import westtide.song.line.Note;

/**
 * A line over one stretch of a section, with what was sounding when the stretch began. A note that
 * is held over the beginning goes on: at the level of this stretch where the same pattern plays on,
 * and where another pattern begins until that one strikes. Where the part was out before, notes
 * that are under way are struck, so that it enters in the middle of a held chord.
 *
 * @param line what the pattern plays over the section
 * @param from first tick of the stretch, from the start of the section
 * @param to tick after it
 */
public record HeldLine(Line line, int from, int to) {
  /** Hands over every note that sounds in the stretch; {@code before} played up to it. */
  public void over(Optional<HeldLine> before, BiConsumer<Placing.Written, Placing.Sounding> sink) {
    boolean sameLine = before.filter(b -> b.line.pattern().equals(line.pattern())).isPresent();
    boolean others = before.isPresent() && !sameLine;
    for (int i = 0; i < line.notes().size(); i++) {
      Note note = line.notes().get(i);
      if (note.start() >= to) {
        break;
      }
      if (note.start() >= from) {
        sink.accept(fresh(note), sounding(line, i));
      } else if (note.end() > from) {
        if (sameLine) {
          sink.accept(goingOn(note, note.end()), sounding(line, i));
        } else if (!others || !before.get().soundsAt(from)) {
          sink.accept(struckLate(note), sounding(line, i));
        }
      }
    }
    if (others) {
      before.get().ringInto(this, sink);
    }
  }

  /** Hands over the notes of this stretch that ring on into the next. */
  private void ringInto(HeldLine next, BiConsumer<Placing.Written, Placing.Sounding> sink) {
    int until = next.firstStart();
    for (int i = 0; i < line.notes().size(); i++) {
      Note note = line.notes().get(i);
      if (note.start() < to && note.end() > to && until > to) {
        sink.accept(next.goingOn(note, Math.min(until, note.end())), sounding(line, i));
      }
    }
  }

  /** The first tick in the stretch at which the line strikes, or its end. */
  private int firstStart() {
    return line.notes().stream()
        .mapToInt(Note::start)
        .filter(start -> start >= from && start < to)
        .findFirst()
        .orElse(to);
  }

  private boolean soundsAt(int tick) {
    return line.notes().stream().anyMatch(note -> note.start() < tick && note.end() > tick);
  }

  private static Placing.Written fresh(Note note) {
    return new Placing.Written(note.start(), note.start(), note.end(), note.start());
  }

  private Placing.Written struckLate(Note note) {
    return new Placing.Written(note.start(), from, note.end(), from);
  }

  private Placing.Written goingOn(Note note, int end) {
    return new Placing.Written(note.start(), from, end, note.start());
  }

  private static Placing.Sounding sounding(Line line, int index) {
    Note note = line.notes().get(index);
    return new Placing.Sounding(
        note.key(), note.velocity(), note.slide(), line.source(index), Optional.empty());
  }

  /** The notes that begin in a stretch. */
  static List<Note> inside(List<Note> notes, int from, int to) {
    return notes.stream().filter(n -> n.start() >= from && n.start() < to).toList();
  }
}
