package westtide.theory;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A scale as degrees of the major scale: natural minor is 1 2 ♭3 4 5 ♭6 ♭7. Scales of fewer or more
 * than seven notes name the seven-note scale their chords are counted in.
 */
public enum Scale {
  MAJOR("major", "1 2 3 4 5 6 7"),
  MINOR("minor", "1 2 b3 4 5 b6 b7"),
  DORIAN("dorian", "1 2 b3 4 5 6 b7"),
  PHRYGIAN("phrygian", "1 b2 b3 4 5 b6 b7"),
  LYDIAN("lydian", "1 2 3 #4 5 6 7"),
  MIXOLYDIAN("mixolydian", "1 2 3 4 5 6 b7"),
  LOCRIAN("locrian", "1 b2 b3 4 b5 b6 b7"),
  HARMONIC_MINOR("harmonic minor", "1 2 b3 4 5 b6 7"),
  MELODIC_MINOR("melodic minor", "1 2 b3 4 5 6 7"),
  MAJOR_PENTATONIC("major pentatonic", "1 2 3 5 6"),
  MINOR_PENTATONIC("minor pentatonic", "1 b3 4 5 b7"),
  BLUES("blues", "1 b3 4 b5 5 b7"),
  HIRAJOSHI("hirajoshi", "1 2 b3 5 b6"),
  IN_SEN("in-sen", "1 b2 4 5 b7"),
  IWATO("iwato", "1 b2 4 b5 b7");

  private final String title;
  private final List<Interval> degrees;

  Scale(String title, String formula) {
    this.title = title;
    this.degrees = Arrays.stream(formula.split(" ")).map(Interval::ofDegree).toList();
  }

  /** The scale of that name, in any case; "natural minor" and "aeolian" are {@link #MINOR}. */
  public static Optional<Scale> find(String name) {
    String wanted = name.strip().toLowerCase(Locale.ROOT);
    return switch (wanted) {
      case "", "maj", "ionian" -> Optional.of(MAJOR);
      case "m", "min", "natural minor", "aeolian" -> Optional.of(MINOR);
      default -> Arrays.stream(values()).filter(s -> s.title.equals(wanted)).findFirst();
    };
  }

  /** The degrees from the tonic up, each an interval less than an octave. */
  public List<Interval> degrees() {
    return degrees;
  }

  /**
   * The seven-note scale in which chords over this scale are counted; itself when it has seven
   * notes.
   */
  public Scale harmony() {
    return switch (this) {
      case MAJOR_PENTATONIC -> MAJOR;
      case MINOR_PENTATONIC, BLUES, HIRAJOSHI -> MINOR;
      case IN_SEN -> PHRYGIAN;
      case IWATO -> LOCRIAN;
      default -> this;
    };
  }

  /** Whether the third of the chord scale is a minor third. */
  public boolean minorThird() {
    return harmony().degrees.get(2).semitones() == 3;
  }

  /** The name people say, such as {@code "harmonic minor"}. */
  @Override
  public String toString() {
    return title;
  }
}
