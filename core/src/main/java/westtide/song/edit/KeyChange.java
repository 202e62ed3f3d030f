package westtide.song.edit;

import java.util.List;
import westtide.song.Note;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Progression;
import westtide.song.Song;
import westtide.song.Variant;
import westtide.theory.Chord;
import westtide.theory.Interval;
import westtide.theory.Key;
import westtide.theory.NoteName;
import westtide.theory.RomanNumeral;

/**
 * Moves a song to another key. Chords keep their Roman numerals and their qualities; written notes
 * move by the nearest distance between the tonics and, where the scale changed under them, to the
 * same degree of the new one.
 */
final class KeyChange {
  private final Key from;
  private final Key to;
  private final int shift;

  private KeyChange(Key from, Key to) {
    this.from = from;
    this.to = to;
    int up = Math.floorMod(to.tonic().pitchClass() - from.tonic().pitchClass(), 12);
    this.shift = up > 6 ? up - 12 : up;
  }

  static Song to(Key key, Song song) {
    KeyChange change = new KeyChange(song.brief().key(), key);
    return song.withBrief(song.brief().withKey(key))
        .withProgressions(song.progressions().stream().map(change::progression).toList())
        .withParts(song.parts().stream().map(change::part).toList());
  }

  private Progression progression(Progression progression) {
    return progression.withSpans(
        progression.spans().stream().map(span -> span.withChord(chord(span.chord()))).toList());
  }

  private Chord chord(Chord chord) {
    Chord moved = RomanNumeral.of(chord, from).in(to).orElseThrow();
    NoteName root = moved.root().simplest();
    return new Chord(root, moved.quality(), moved.slashBass().map(NoteName::simplest));
  }

  private Part part(Part part) {
    return part.withVariants(part.variants().stream().map(this::variant).toList());
  }

  private Variant variant(Variant variant) {
    if (variant.pattern() instanceof Pattern.Written written) {
      return variant.withPattern(written.withNotes(notes(written.notes())));
    }
    return variant;
  }

  private List<Note> notes(List<Note> notes) {
    return notes.stream().map(note -> note.withKey(key(note.key()))).toList();
  }

  private int key(int midi) {
    int moved = midi + shift + bend(midi);
    if (moved > 127) {
      return moved - 12;
    }
    return moved < 0 ? moved + 12 : moved;
  }

  private int bend(int midi) {
    Interval degree = from.degreeOf(midi % 12);
    boolean inScale = from.scale().harmony().degrees().contains(degree);
    if (!inScale) {
      return 0;
    }
    Interval target = to.scale().harmony().degrees().get(degree.steps());
    return target.semitones() - degree.semitones();
  }
}
