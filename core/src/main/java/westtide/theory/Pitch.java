package westtide.theory;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A pitch such as F♯2: a spelled note in an octave. C4 is MIDI note 60, A4 is 69 and 440 Hz.
 *
 * @param name the spelled note
 * @param octave the octave that begins at C, −2 to 10
 */
public record Pitch(NoteName name, int octave) {
  private static final Pattern TEXT = Pattern.compile("([A-Ga-g][#♯b♭]*)(-?\\d+)");
  private static final String[] USUAL = {
    "C", "C#", "D", "Eb", "E", "F", "F#", "G", "Ab", "A", "Bb", "B"
  };

  /** Checks that the pitch has a MIDI note number. */
  public Pitch {
    checkMidi(midi(name, octave));
  }

  /** The pitch of a MIDI note number 0 to 127, in the usual spelling (C♯ E♭ F♯ A♭ B♭). */
  public static Pitch of(int midi) {
    checkMidi(midi);
    return of(midi, NoteName.parse(USUAL[midi % 12]));
  }

  /** The pitch of a MIDI note number spelled with the given name, which must sound the same. */
  public static Pitch of(int midi, NoteName name) {
    int natural = midi - name.accidental() - name.letter().semitones();
    if (Math.floorMod(natural, 12) != 0) {
      throw new IllegalArgumentException("MIDI note " + midi + " cannot be spelled " + name);
    }
    return new Pitch(name, natural / 12 - 1);
  }

  /**
   * Reads a pitch such as {@code "F#2"} or {@code "Bb-1"}.
   *
   * @throws IllegalArgumentException when the text is no pitch
   */
  public static Pitch parse(String text) {
    Matcher matcher = TEXT.matcher(text);
    if (!matcher.matches()) {
      throw new IllegalArgumentException(
          "a pitch is a note and an octave, such as F#2, but was \"" + text + "\"");
    }
    return new Pitch(NoteName.parse(matcher.group(1)), Integer.parseInt(matcher.group(2)));
  }

  /** The pitch of a text; empty when it is none, or one without a MIDI note number. */
  public static Optional<Pitch> find(String text) {
    Matcher matcher = TEXT.matcher(text);
    if (!matcher.matches()) {
      return Optional.empty();
    }
    Optional<NoteName> name = NoteName.find(matcher.group(1));
    boolean far = matcher.group(2).length() > 2;
    if (name.isEmpty() || far) {
      return Optional.empty();
    }
    int midi = midi(name.get(), Integer.parseInt(matcher.group(2)));
    return midi < 0 || midi > 127 ? Optional.empty() : Optional.of(of(midi, name.get()));
  }

  /** The frequency of a MIDI note in Hz, in equal temperament at A4 = 440 Hz (ISO 16). */
  public static double hertz(int midi) {
    return 440 * Math.pow(2, (midi - 69) / 12.0);
  }

  /** The ratio of frequencies a number of cents apart: 1200 cents are an octave, 2. */
  public static double ratio(double cents) {
    return Math.pow(2, cents / 1200);
  }

  /** The lowest MIDI note of a pitch class that is not below {@code floor}. */
  public static int atOrAbove(int floor, int pitchClass) {
    return floor + Math.floorMod(pitchClass - floor, 12);
  }

  /** The MIDI note number, 0 to 127. */
  public int midi() {
    return midi(name, octave);
  }

  /** The frequency in Hz. */
  public double hertz() {
    return hertz(midi());
  }

  /** Name and octave, such as {@code "F♯2"}. */
  @Override
  public String toString() {
    return name.toString() + octave;
  }

  private static int midi(NoteName name, int octave) {
    return 12 * (octave + 1) + name.letter().semitones() + name.accidental();
  }

  private static void checkMidi(int midi) {
    if (midi < 0 || midi > 127) {
      throw new IllegalArgumentException("a MIDI note is 0 to 127, but was " + midi);
    }
  }
}
