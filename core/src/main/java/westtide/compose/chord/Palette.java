package westtide.compose.chord;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import westtide.theory.Chord;
import westtide.theory.ChordQuality;
import westtide.theory.Key;
import westtide.theory.NoteName;
import westtide.theory.QualityBook;

/**
 * The chords of a key in the colours a style likes.
 *
 * @param key the key
 * @param colours qualities, the most liked first
 */
public record Palette(Key key, List<ChordQuality> colours) {
  /** The chords on a degree of the key, 1 to 7, that hold no foreign note; the most liked first. */
  public List<Chord> on(int degree) {
    NoteName root = key.degree(degree).simplest();
    List<Chord> liked =
        colours.stream().map(quality -> Chord.of(root, quality)).filter(this::inside).toList();
    return liked.isEmpty() ? List.of(triad(degree)) : liked;
  }

  /** The triad the scale itself stacks on a degree. */
  public Chord triad(int degree) {
    NoteName root = key.degree(degree).simplest();
    Set<Integer> above = new TreeSet<>();
    for (int step : new int[] {0, 2, 4}) {
      int pitchClass = key.degree((degree - 1 + step) % 7 + 1).pitchClass();
      above.add(Math.floorMod(pitchClass - root.pitchClass(), 12));
    }
    return Chord.of(root, QualityBook.ofSemitones(above).orElseGet(() -> ChordQuality.parse("5")));
  }

  /** Whether every note of a chord belongs to the chord scale of the key. */
  public boolean inside(Chord chord) {
    Key scale = key.chordKey();
    return chord.pitchClasses().stream().allMatch(scale::contains);
  }
}
