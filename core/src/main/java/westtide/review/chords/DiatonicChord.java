package westtide.review.chords;

import java.util.List;
import java.util.Optional;
import westtide.theory.Chord;
import westtide.theory.ChordQuality;
import westtide.theory.Key;

/** Finds the chord of a key that stands nearest to one with foreign notes. */
final class DiatonicChord {
  private static final List<String> TRIADS = List.of("", "m", "dim", "sus4", "5");
  private static final List<String> SEVENTHS = List.of("maj7", "m7", "7", "m7b5", "7sus4");

  private DiatonicChord() {}

  /** A chord of the key on the same root, or on the scale note next below, of the same size. */
  static Optional<Chord> like(Chord chord, Key key) {
    Key scale = key.chordKey();
    List<String> suffixes = chord.quality().seventh() ? SEVENTHS : TRIADS;
    for (int lower = 0; lower <= 2; lower++) {
      int pitchClass = Math.floorMod(chord.root().pitchClass() - lower, 12);
      for (String suffix : suffixes) {
        Chord other = Chord.of(key.pitch(60 + pitchClass).name(), ChordQuality.parse(suffix));
        if (!other.equals(chord) && other.pitchClasses().stream().allMatch(scale::contains)) {
          return Optional.of(other);
        }
      }
    }
    return Optional.empty();
  }
}
