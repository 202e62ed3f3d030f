package westtide.song.pattern;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import westtide.rhythm.Ticks;
import westtide.song.line.Note;
import westtide.song.line.NoteShapes;
import westtide.theory.Key;

/**
 * One unit of a phrase: what it makes of the motif, or notes of its own.
 *
 * @param change what becomes of the motif
 * @param own notes that were written here instead, from the start of the unit
 */
public record PhraseUnit(Change change, Optional<List<Note>> own) {
  /** What a unit of a phrase makes of its motif. */
  public enum Change {
    MOTIF("a", "the motif"),
    LAST("a′", "another last note"),
    HIGHER("a+", "a step higher"),
    LOWER("a−", "a step lower"),
    ANSWER("b", "turned upside down"),
    SPARSE("a·", "thinned out"),
    LATE("a›", "a beat later"),
    OCTAVES("a8", "in two octaves"),
    NEW_NOTES("a♪", "its rhythm, other notes"),
    NEW_RHYTHM("a~", "its notes, another rhythm"),
    REST("–", "a rest");

    private final String sign;
    private final String title;

    Change(String sign, String title) {
      this.sign = sign;
      this.title = title;
    }

    /** The letter it has in a plan. */
    public String sign() {
      return sign;
    }

    @Override
    public String toString() {
      return title;
    }
  }

  /** Copies its own notes. */
  public PhraseUnit {
    own = own.map(List::copyOf);
  }

  /** A unit that follows the motif. */
  public static PhraseUnit of(Change change) {
    return new PhraseUnit(change, Optional.empty());
  }

  /** The same unit with notes of its own. */
  public PhraseUnit withOwn(List<Note> notes) {
    return new PhraseUnit(change, Optional.of(notes));
  }

  /** Its notes from its start, {@code ticks} long. */
  List<Note> notes(List<Note> motif, Key key, int ticks) {
    return own.orElseGet(() -> derived(motif, key, ticks));
  }

  /** What it makes of the motif, whatever is written in its place. */
  List<Note> derived(List<Note> motif, Key key, int ticks) {
    return switch (change) {
      case MOTIF -> motif;
      case LAST -> NoteShapes.lastChanged(motif, key, 0);
      case HIGHER -> NoteShapes.inKey(motif, key, 1);
      case LOWER -> NoteShapes.inKey(motif, key, -1);
      case ANSWER -> NoteShapes.mirrored(motif, key);
      case SPARSE -> NoteShapes.thinned(motif);
      case LATE -> late(motif, ticks);
      case OCTAVES -> stacked(motif);
      case NEW_NOTES -> NoteShapes.notesTurned(motif);
      case NEW_RHYTHM -> NoteShapes.rhythmTurned(motif, ticks);
      case REST -> List.of();
    };
  }

  private static List<Note> late(List<Note> motif, int ticks) {
    return motif.stream()
        .map(note -> note.withStart(note.start() + Ticks.PER_QUARTER))
        .filter(note -> note.start() < ticks)
        .map(note -> note.withTicks(Math.min(note.ticks(), ticks - note.start())))
        .toList();
  }

  private static List<Note> stacked(List<Note> motif) {
    List<Note> out = new ArrayList<>(motif);
    for (Note note : motif) {
      if (note.key() + 12 <= 127) {
        out.add(note.withKey(note.key() + 12).withVelocity(Math.max(1, note.velocity() - 14)));
      }
    }
    return out;
  }
}
