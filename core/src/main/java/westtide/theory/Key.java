package westtide.theory;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A key such as F♯ minor or A dorian: a tonic and a scale, with the spelling they imply.
 *
 * @param tonic the home note
 * @param scale the scale counted from it
 */
public record Key(NoteName tonic, Scale scale) {
  private static final Pattern TEXT = Pattern.compile("\\s*([A-Ga-g][#♯b♭]{0,2})\\s*(.*?)\\s*");
  private static final String[] CHROMATIC = {
    "1", "b2", "2", "b3", "3", "4", "#4", "5", "b6", "6", "b7", "7"
  };
  private static final int[] FIFTHS_OF_LETTER = {0, 2, 4, -1, 1, 3, 5};

  /**
   * Reads a key such as {@code "F# minor"}, {@code "F#m"}, {@code "A dorian"} or {@code "Bb"}.
   *
   * @throws IllegalArgumentException when tonic or scale is unknown; the message says what is
   *     allowed
   */
  public static Key parse(String text) {
    return find(text)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "a key is a note and a scale, such as F# minor, A dorian or Bb major, but was \""
                        + text
                        + "\""));
  }

  /** The key on a pitch class, 0 for C to 11 for B, spelled with as few signs as can be. */
  public static Key usual(int pitchClass, Scale scale) {
    return NoteName.ofPitchClass(pitchClass).stream()
        .map(tonic -> new Key(tonic, scale))
        .min(Comparator.comparingInt(Key::accidentals))
        .orElseThrow();
  }

  private int accidentals() {
    return notes().stream().mapToInt(note -> Math.abs(note.accidental())).sum();
  }

  /** As {@link #parse}, but empty when the text is no key. */
  public static Optional<Key> find(String text) {
    Matcher matcher = TEXT.matcher(text);
    if (!matcher.matches()) {
      return Optional.empty();
    }
    return NoteName.find(matcher.group(1))
        .flatMap(tonic -> Scale.find(matcher.group(2)).map(scale -> new Key(tonic, scale)));
  }

  /** The notes of the scale from the tonic up, correctly spelled. */
  public List<NoteName> notes() {
    return scale.degrees().stream().map(tonic::plus).toList();
  }

  /** Whether a pitch class (0 to 11) belongs to the scale. */
  public boolean contains(int pitchClass) {
    int above = Math.floorMod(pitchClass - tonic.pitchClass(), 12);
    for (Interval degree : scale.degrees()) {
      if (Math.floorMod(degree.semitones(), 12) == above) {
        return true;
      }
    }
    return false;
  }

  /** The key of the seven-note scale in which chords over this key are counted. */
  public Key chordKey() {
    return new Key(tonic, scale.harmony());
  }

  /** The degree of the key's seven-note chord scale, 1 to 7, as a spelled note. */
  public NoteName degree(int number) {
    return tonic.plus(scale.harmony().degrees().get(number - 1));
  }

  /**
   * How a pitch class is counted from the tonic: {@code "1"}, {@code "♭3"}, {@code "♯4"}. Notes of
   * the scale are counted as the scale spells them, others as a lowered degree, the tritone as ♯4.
   */
  public Interval degreeOf(int pitchClass) {
    int height = Math.floorMod(pitchClass - tonic.pitchClass(), 12);
    return scale.degrees().stream()
        .filter(degree -> degree.semitones() == height)
        .findFirst()
        .orElseGet(() -> Interval.ofDegree(CHROMATIC[height]));
  }

  /** A MIDI note spelled for this key: MIDI 70 is A♯4 in B major, B♭4 in D minor. */
  public Pitch pitch(int midi) {
    return Pitch.of(midi, tonic.plus(degreeOf(midi % 12)).simplest());
  }

  /** The nearest MIDI note of the scale; the lower one when two are equally near. */
  public int nearest(int midi) {
    for (int distance = 0; distance < 12; distance++) {
      if (contains(Math.floorMod(midi - distance, 12))) {
        return midi - distance;
      }
      if (contains(Math.floorMod(midi + distance, 12))) {
        return midi + distance;
      }
    }
    return midi;
  }

  /**
   * The signature that names this tonic in a MIDI file: sharps positive, flats negative, −7 to 7. A
   * file can only say major or minor, so a mode is written as the major or minor key on the same
   * tonic (A dorian as A minor): other programs then show the right home note. A tonic that would
   * need more than seven signs is respelled (G♯ major as A♭ major).
   */
  public int signature() {
    int fifths = FIFTHS_OF_LETTER[tonic.letter().ordinal()] + 7 * tonic.accidental();
    int signs = minor() ? fifths - 3 : fifths;
    if (signs > 7) {
      return signs - 12;
    }
    return signs < -7 ? signs + 12 : signs;
  }

  /** Whether the key counts as minor: its third is a minor third. */
  public boolean minor() {
    return scale.minorThird();
  }

  /** The short form for file names: {@code "F#m"}, {@code "A dorian"} as {@code "Adorian"}. */
  public String shortName() {
    String note = Accidentals.typed(tonic.toString());
    return switch (scale) {
      case MAJOR -> note;
      case MINOR -> note + "m";
      default -> note + scale.toString().replace(" ", "");
    };
  }

  /** Tonic and scale, such as {@code "F♯ minor"}. */
  @Override
  public String toString() {
    return tonic + " " + scale;
  }
}
