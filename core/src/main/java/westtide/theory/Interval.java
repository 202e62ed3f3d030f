package westtide.theory;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A spelled distance upwards, such as a minor third: two staff steps and three semitones.
 *
 * @param steps staff steps, 0 for a unison, 7 for an octave; 0 or more
 * @param semitones sounding distance in semitones
 */
public record Interval(int steps, int semitones) implements Comparable<Interval> {
  private static final Pattern DEGREE = Pattern.compile("([b#♭♯]*)(\\d{1,2})");
  private static final int STEPS_PER_OCTAVE = 7;

  /** Rejects intervals that point downwards. */
  public Interval {
    if (steps < 0) {
      throw new IllegalArgumentException("interval steps must be 0 or more, but was " + steps);
    }
  }

  /** A number of semitones in words, such as {@code "1 semitone"} or {@code "-3 semitones"}. */
  public static String semitones(int count) {
    return count + (Math.abs(count) == 1 ? " semitone" : " semitones");
  }

  /**
   * The interval from the tonic to a degree counted in the major scale.
   *
   * @param degree for example {@code "3"} (4 semitones), {@code "♭3"} or {@code "b3"} (3), {@code
   *     "#11"} (18)
   * @throws IllegalArgumentException when the text is not signs followed by a number from 1 to 15
   */
  public static Interval ofDegree(String degree) {
    Matcher matcher = DEGREE.matcher(degree);
    if (!matcher.matches()) {
      throw new IllegalArgumentException("degree must look like 3, b7 or #11, but was " + degree);
    }
    int shift = Accidentals.sum(Accidentals.typed(matcher.group(1)));
    return ofDegree(Integer.parseInt(matcher.group(2)), shift);
  }

  /** The interval to a degree of the major scale (1 to 15), moved by {@code shift} semitones. */
  public static Interval ofDegree(int degree, int shift) {
    if (degree < 1 || degree > 15) {
      throw new IllegalArgumentException("degree must be 1 to 15, but was " + degree);
    }
    int steps = degree - 1;
    Letter letter = Letter.C.plus(steps);
    return new Interval(steps, 12 * (steps / STEPS_PER_OCTAVE) + letter.semitones() + shift);
  }

  /**
   * The number of the degree this interval reaches: 1 for a unison, 3 for any third, 11 for any
   * eleventh.
   */
  public int degree() {
    return steps + 1;
  }

  /** The same interval within one octave: an eleventh becomes a fourth. */
  public Interval simple() {
    int octaves = steps / STEPS_PER_OCTAVE;
    return new Interval(steps % STEPS_PER_OCTAVE, semitones - 12 * octaves);
  }

  /**
   * How far the degree is raised (positive) or lowered (negative) against the major scale, in
   * semitones.
   */
  public int shift() {
    return semitones - ofDegree(degree(), 0).semitones();
  }

  @Override
  public int compareTo(Interval other) {
    int bySound = Integer.compare(semitones, other.semitones);
    return bySound != 0 ? bySound : Integer.compare(steps, other.steps);
  }

  /** The degree as it is printed: {@code "♭3"}, {@code "5"}, {@code "♯11"}. */
  @Override
  public String toString() {
    return Accidentals.of(shift()) + degree();
  }
}
