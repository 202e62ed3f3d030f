package westtide.theory;

import java.util.List;
import java.util.Optional;

/**
 * What a chord is above its root: {@code "m9"} is 1 ♭3 5 ♭7 9. Two qualities are equal when they
 * are written the same after aliases such as {@code "min9"} and {@code "-9"} have been brought to
 * one form.
 *
 * @param suffix the canonical text after the root, with typed signs ({@code "m7b5"}); empty for a
 *     major triad
 * @param tones the chord tones as intervals above the root, lowest first, the root included
 */
public record ChordQuality(String suffix, List<Interval> tones) {
  /** Copies the tones. */
  public ChordQuality {
    tones = List.copyOf(tones);
  }

  /** The quality a suffix stands for, or empty when it is not understood. */
  public static Optional<ChordQuality> find(String suffix) {
    return new QualityParser(suffix).parse();
  }

  /**
   * As {@link #find}.
   *
   * @throws IllegalArgumentException when the suffix is not understood
   */
  public static ChordQuality parse(String suffix) {
    return find(suffix)
        .orElseThrow(() -> new IllegalArgumentException("unknown chord quality: " + suffix));
  }

  /** Whether the third is a minor third. */
  public boolean minorThird() {
    return has(3, -1);
  }

  /** Whether a degree such as 5 is present, moved by that many semitones from the major scale. */
  public boolean has(int degree, int shift) {
    return tones.contains(Interval.ofDegree(degree, shift));
  }

  /** The chord tone of that number (3 finds any third), if the chord has one. */
  public Optional<Interval> tone(int degree) {
    return tones.stream().filter(tone -> tone.degree() == degree).findFirst();
  }

  /** Whether a seventh is present. */
  public boolean seventh() {
    return tone(7).isPresent();
  }

  /** The suffix with printed signs, such as {@code "m7♭5"}. */
  @Override
  public String toString() {
    return Accidentals.printed(suffix);
  }
}
