package westtide.theory;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * Names sounding notes: every chord whose tones are just these notes, with or without its fifth,
 * best first. A name is better when its root lies in the bass, when it is plain and when its root
 * belongs to the key.
 */
public final class ChordNamer {
  private static final int MOST = 8;

  private final Key key;

  private ChordNamer(Key key) {
    this.key = key;
  }

  /** Names spelled for a key. */
  public static ChordNamer in(Key key) {
    return new ChordNamer(key);
  }

  /**
   * A name that fits.
   *
   * @param chord the chord
   * @param why what speaks for it, one sentence
   */
  public record Name(Chord chord, String why) {}

  /** The names of MIDI notes, best first, at most eight; none for fewer than two pitch classes. */
  public List<Name> names(List<Integer> keys) {
    Set<Integer> classes = new TreeSet<>();
    keys.forEach(k -> classes.add(Math.floorMod(k, 12)));
    if (classes.size() < 2) {
      return List.of();
    }
    int bass = Math.floorMod(keys.stream().mapToInt(k -> k).min().orElseThrow(), 12);
    List<Fit> fits = new ArrayList<>();
    for (int root = 0; root < 12; root++) {
      addFits(fits, root, bass, classes);
    }
    return fits.stream()
        .sorted(Comparator.comparingDouble(Fit::cost))
        .map(Fit::name)
        .limit(MOST)
        .toList();
  }

  private void addFits(List<Fit> fits, int root, int bass, Set<Integer> classes) {
    List<ChordQuality> qualities = QualityBook.common();
    for (int rank = 0; rank < qualities.size(); rank++) {
      ChordQuality quality = qualities.get(rank);
      for (Shape shape : Shape.values()) {
        if (shape.sounding(quality, root, bass).equals(classes) && shape.allows(quality)) {
          fits.add(fit(root, quality, bass, rank, shape));
        }
      }
    }
  }

  private Fit fit(int root, ChordQuality quality, int bass, int rank, Shape shape) {
    NoteName name = spelled(root);
    Chord plain = Chord.of(name, quality);
    Chord chord = root == bass ? plain : plain.withBass(bassName(plain, bass));
    double cost =
        rank * 0.22
            + shape.cost
            + (root == bass ? 0 : 2.5)
            + (key.contains(root) ? 0 : 1.5)
            + outside(plain) * 0.4;
    return new Fit(new Name(chord, why(chord, shape, root == bass)), cost);
  }

  /** As the key spells its own notes; others as usual. */
  private NoteName spelled(int pitchClass) {
    return key.contains(pitchClass)
        ? key.pitch(60 + pitchClass).name()
        : Pitch.of(60 + pitchClass).name();
  }

  private NoteName bassName(Chord chord, int bass) {
    return chord.notes().stream()
        .filter(note -> note.pitchClass() == bass)
        .findFirst()
        .orElseGet(() -> spelled(bass));
  }

  private long outside(Chord chord) {
    return chord.pitchClasses().stream().filter(pc -> !key.contains(pc)).count();
  }

  private static String why(Chord chord, Shape shape, boolean onRoot) {
    return switch (shape) {
      case WHOLE -> onRoot ? "All its notes, root in the bass." : "All its notes, turned over.";
      case NO_FIFTH -> "All but the fifth, which is often left out.";
      case OVER_BASS -> "All its notes over " + chord.bass() + ", which it does not hold.";
    };
  }

  private record Fit(Name name, double cost) {}

  private enum Shape {
    WHOLE(0),
    NO_FIFTH(2.2),
    OVER_BASS(3.5);

    private final double cost;

    Shape(double cost) {
      this.cost = cost;
    }

    boolean allows(ChordQuality quality) {
      return this != NO_FIFTH || quality.tones().size() > 3 && quality.has(5, 0);
    }

    Set<Integer> sounding(ChordQuality quality, int root, int bass) {
      Set<Integer> out = new TreeSet<>();
      QualityBook.semitones(quality).forEach(above -> out.add((root + above) % 12));
      if (this == NO_FIFTH) {
        out.remove((root + 7) % 12);
      } else if (this == OVER_BASS && !out.add(bass)) {
        return Set.of();
      }
      return out;
    }
  }
}
