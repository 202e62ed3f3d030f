package westtide.song.edit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import westtide.song.Form;
import westtide.song.Note;
import westtide.song.Part;
import westtide.song.Pattern;
import westtide.song.Section;
import westtide.song.Song;
import westtide.song.Variant;
import westtide.song.chord.ChordSpan;
import westtide.song.chord.Progression;
import westtide.theory.Chord;
import westtide.theory.ChordQuality;
import westtide.theory.Interval;
import westtide.theory.Key;
import westtide.theory.NoteName;
import westtide.theory.QualityBook;
import westtide.theory.RomanNumeral;
import westtide.theory.voicing.Voicing;

/**
 * A move of a song to another key. Chords stay on their degrees: those of the old key become the
 * chords of the new one on the same degrees, those with a foreign note keep their sound. Written
 * notes move by the distance between the tonics and, where the scale changed under them, to the
 * same degree of the new one.
 *
 * @param from the key the song stands in
 * @param to the key it goes to
 * @param move which way written notes go
 */
public record KeyChange(Key from, Key to, KeyMove move) {
  /**
   * A degree whose height above home differs between two keys.
   *
   * @param before the degree as the old key counts it
   * @param after as the new one does
   * @param where the names of the progressions and parts it was found in
   * @param count how many notes of chords and lines bent
   */
  public record Bend(Interval before, Interval after, List<String> where, int count) {}

  /** The song in the other key. */
  public Song apply(Song song) {
    return song.withBrief(song.brief().withKey(to))
        .withProgressions(song.progressions().stream().map(this::progression).toList())
        .withParts(song.parts().stream().map(this::part).toList())
        .withForm(new Form(song.form().sections().stream().map(this::section).toList()));
  }

  /** What bends when a song makes this move, by degree; nothing when only the home note changes. */
  public List<Bend> bends(Song song) {
    Map<Interval, Bend> out = new LinkedHashMap<>();
    for (Progression row : song.progressions()) {
      for (ChordSpan span : row.spans()) {
        if (belongs(span.chord())) {
          span.chord().notes().forEach(note -> count(out, note.pitchClass(), row.name()));
        }
      }
    }
    for (Part part : song.parts()) {
      part.variants().stream()
          .flatMap(variant -> notes(variant.pattern()).stream())
          .forEach(note -> count(out, note.key() % 12, part.name()));
    }
    return List.copyOf(out.values());
  }

  private void count(Map<Interval, Bend> bends, int pitchClass, String where) {
    Interval degree = from.degreeOf(pitchClass);
    Interval target = bent(degree);
    if (target.semitones() == degree.semitones()) {
      return;
    }
    Bend old = bends.getOrDefault(degree, new Bend(degree, target, List.of(), 0));
    List<String> places = new ArrayList<>(old.where());
    if (!places.contains(where)) {
      places.add(where);
    }
    bends.put(degree, new Bend(degree, target, places, old.count() + 1));
  }

  private static List<Note> notes(Pattern pattern) {
    return pattern instanceof Pattern.Written written ? written.notes() : List.of();
  }

  private Progression progression(Progression progression) {
    return progression.withSpans(progression.spans().stream().map(this::span).toList());
  }

  private ChordSpan span(ChordSpan span) {
    Optional<Voicing> own = span.manner().own().map(this::voicing);
    return new ChordSpan(chord(span.chord()), span.ticks(), span.manner().withOwn(own));
  }

  private Voicing voicing(Voicing voicing) {
    return new Voicing(voicing.keys().stream().map(this::key).toList());
  }

  private Section section(Section section) {
    return section.withPedal(section.pedal().map(note -> to.pitch(60 + moved(note)).name()));
  }

  private int moved(NoteName note) {
    int shift = to.tonic().pitchClass() - from.tonic().pitchClass();
    int pitchClass = note.pitchClass();
    return Math.floorMod(pitchClass + shift + bend(pitchClass), 12);
  }

  private Chord chord(Chord chord) {
    Chord moved = RomanNumeral.of(chord, from).in(to).orElseThrow();
    Chord plain =
        new Chord(
            moved.root().simplest(), moved.quality(), moved.slashBass().map(NoteName::simplest));
    return belongs(chord) ? plain.withQuality(quality(chord)) : plain;
  }

  private boolean belongs(Chord chord) {
    Key scale = from.chordKey();
    return chord.pitchClasses().stream().allMatch(scale::contains);
  }

  /**
   * The quality of the same stack on the same degree of the other key, thinned until it has one.
   */
  private ChordQuality quality(Chord chord) {
    List<Interval> tones = chord.quality().tones();
    for (int size = tones.size(); size >= 3; size--) {
      Optional<ChordQuality> found = QualityBook.ofSemitones(stack(chord, tones.subList(0, size)));
      if (found.isPresent()) {
        boolean same = QualityBook.semitones(chord.quality()).equals(stack(chord, tones));
        return same ? chord.quality() : found.get();
      }
    }
    return chord.quality();
  }

  private Set<Integer> stack(Chord chord, List<Interval> tones) {
    int root = chord.root().pitchClass();
    Set<Integer> out = new TreeSet<>();
    for (Interval tone : tones) {
      int above = tone.semitones() + bend(root + tone.semitones()) - bend(root);
      out.add(Math.floorMod(above, 12));
    }
    return out;
  }

  private Part part(Part part) {
    return part.withVariants(part.variants().stream().map(this::variant).toList());
  }

  private Variant variant(Variant variant) {
    if (variant.pattern() instanceof Pattern.Written written) {
      return variant.withPattern(
          written.withNotes(
              written.notes().stream().map(note -> note.withKey(key(note.key()))).toList()));
    }
    return variant;
  }

  private int key(int midi) {
    int shift = move.semitones(from.tonic().pitchClass(), to.tonic().pitchClass());
    int moved = midi + shift + bend(midi);
    if (moved > 127) {
      return moved - 12;
    }
    return moved < 0 ? moved + 12 : moved;
  }

  private int bend(int midi) {
    Interval degree = from.degreeOf(Math.floorMod(midi, 12));
    return bent(degree).semitones() - degree.semitones();
  }

  /** The degree as the other key counts it; a note outside the scale stays as it is. */
  private Interval bent(Interval degree) {
    boolean inScale = from.scale().harmony().degrees().contains(degree);
    return inScale ? to.scale().harmony().degrees().get(degree.steps()) : degree;
  }
}
