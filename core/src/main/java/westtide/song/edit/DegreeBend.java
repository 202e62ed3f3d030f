package westtide.song.edit;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import westtide.theory.Chord;
import westtide.theory.ChordQuality;
import westtide.theory.Interval;
import westtide.theory.Key;
import westtide.theory.NoteName;
import westtide.theory.QualityBook;
import westtide.theory.RomanNumeral;

/**
 * What becomes of degrees when one scale takes the place of another: notes and chords that belong
 * to the old key go to the same degree of the new one, everything else keeps its sound.
 *
 * @param from the key a song stands in
 * @param to the key it goes to
 */
public record DegreeBend(Key from, Key to) {
  /** Whether anything bends at all. */
  public boolean any() {
    return from.scale().harmony().degrees().stream()
        .anyMatch(degree -> bent(degree).semitones() != degree.semitones());
  }

  /** Semitones by which a note bends, its pitch class or MIDI number given. */
  public int of(int midi) {
    Interval degree = from.degreeOf(Math.floorMod(midi, 12));
    return bent(degree).semitones() - degree.semitones();
  }

  /** The degree as the other key counts it; a note outside the scale stays as it is. */
  public Interval bent(Interval degree) {
    boolean inScale = from.scale().harmony().degrees().contains(degree);
    return inScale ? to.scale().harmony().degrees().get(degree.steps()) : degree;
  }

  /** Whether all of a chord belongs to the old key. */
  public boolean belongs(Chord chord) {
    Key scale = from.chordKey();
    return chord.pitchClasses().stream().allMatch(scale::contains);
  }

  /**
   * A chord in the other key: as it is, moved with home, where the other key has all of it or the
   * old one had not; on the same degree where the scale changed under it.
   */
  public Chord chord(Chord chord) {
    Chord along =
        new Chord(along(chord.root()), chord.quality(), chord.slashBass().map(this::along));
    Key scale = to.chordKey();
    boolean stays = along.pitchClasses().stream().allMatch(scale::contains);
    return stays || !belongs(chord) ? along : bent(chord);
  }

  private NoteName along(NoteName note) {
    return to.tonic().plus(from.tonic().to(note)).simplest();
  }

  private Chord bent(Chord chord) {
    Chord moved = RomanNumeral.of(chord, from).in(to).orElseThrow();
    Chord plain =
        new Chord(
            moved.root().simplest(), moved.quality(), moved.slashBass().map(NoteName::simplest));
    return plain.withQuality(quality(chord));
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
      int above = tone.semitones() + of(root + tone.semitones()) - of(root);
      out.add(Math.floorMod(above, 12));
    }
    return out;
  }
}
