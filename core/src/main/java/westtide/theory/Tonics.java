package westtide.theory;

import java.util.Comparator;
import java.util.List;

/** The names a home note can have, and which of two a key would use. */
public final class Tonics {
  /** Every one that is offered. */
  public static final List<NoteName> ALL =
      List.of("C", "C#", "Db", "D", "Eb", "E", "F", "F#", "Gb", "G", "G#", "Ab", "A", "Bb", "B")
          .stream()
          .map(NoteName::parse)
          .toList();

  private Tonics() {}

  /** What a pitch class is called as a home, with the fewest signs in the scale of a key. */
  public static NoteName of(Key key, int pitchClass) {
    return ALL.stream()
        .filter(name -> name.pitchClass() == pitchClass)
        .min(Comparator.comparingInt(name -> signs(new Key(name, key.scale()), key)))
        .orElseThrow();
  }

  /** Signs of a key; of two with as many, the one on the side of the present key. */
  private static int signs(Key key, Key present) {
    int side = Integer.signum(present.signature()) == Integer.signum(key.signature()) ? 0 : 1;
    return 2 * Math.abs(key.signature()) + side;
  }
}
