package westtide.theory;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A spelled note without an octave, such as F♯ or B♭.
 *
 * @param letter the staff letter
 * @param accidental semitones above (sharps) or below (flats) the natural note, −4 to 4
 */
public record NoteName(Letter letter, int accidental) {
  private static final Pattern TEXT = Pattern.compile("([A-Ga-g])([#♯b♭]{0,4})");

  /** Rejects spellings nobody can read. */
  public NoteName {
    if (Math.abs(accidental) > 4) {
      throw new IllegalArgumentException(
          "a note carries at most four sharps or flats, but was " + accidental);
    }
  }

  /**
   * Reads a name such as {@code "F#"}, {@code "F♯"} or {@code "Bb"}.
   *
   * @throws IllegalArgumentException when the text is no note name
   */
  public static NoteName parse(String text) {
    return find(text)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "a note is a letter A to G with # or b, such as F# or Bb, but was \""
                        + text
                        + "\""));
  }

  /** As {@link #parse}, but empty when the text is no note name. */
  public static Optional<NoteName> find(String text) {
    Matcher matcher = TEXT.matcher(text);
    if (!matcher.matches()) {
      return Optional.empty();
    }
    Letter letter = Letter.valueOf(matcher.group(1).toUpperCase(java.util.Locale.ROOT));
    return Optional.of(new NoteName(letter, Accidentals.sum(Accidentals.typed(matcher.group(2)))));
  }

  /** All spellings of a pitch class with at most one sharp or flat. */
  public static List<NoteName> ofPitchClass(int pitchClass) {
    List<NoteName> out = new ArrayList<>();
    for (Letter letter : Letter.values()) {
      for (int accidental = -1; accidental <= 1; accidental++) {
        NoteName name = new NoteName(letter, accidental);
        if (name.pitchClass() == pitchClass) {
          out.add(name);
        }
      }
    }
    return out;
  }

  /** The pitch class, 0 for C to 11 for B, whatever the spelling. */
  public int pitchClass() {
    return Math.floorMod(letter.semitones() + accidental, 12);
  }

  /** The note an interval higher, spelled by its steps: A plus a major third is C♯, never D♭. */
  public NoteName plus(Interval interval) {
    Letter target = letter.plus(interval.steps());
    int octaves = Math.floorDiv(letter.ordinal() + interval.steps(), Letter.COUNT);
    int sounding = letter.semitones() + accidental + interval.semitones();
    return new NoteName(target, sounding - 12 * octaves - target.semitones());
  }

  /** The interval up from this note to the other, less than an octave. */
  public Interval to(NoteName other) {
    int steps = Math.floorMod(other.letter.ordinal() - letter.ordinal(), Letter.COUNT);
    int natural = Math.floorMod(other.letter.semitones() - letter.semitones(), 12);
    return new Interval(steps, natural + other.accidental - accidental);
  }

  /** The same sound with at most one sharp or flat: F♯♯ becomes G. */
  public NoteName simplest() {
    if (Math.abs(accidental) <= 1) {
      return this;
    }
    return Pitch.of(60 + pitchClass()).name();
  }

  /** Letter and printed signs, such as {@code "F♯"}. */
  @Override
  public String toString() {
    return letter.name() + Accidentals.of(accidental);
  }
}
