package westtide.song.line;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A note said by its place in the chord heard below it: {@code R} the bass of the chord, {@code 3}
 * and {@code 5} its third and fifth, {@code 8} the bass an octave up, {@code bR} a semitone below
 * it. With {@code >} it belongs to the chord that comes next, as a pick-up does.
 *
 * @param tone 1 for the bass, 2 to 14 for members and steps above the root
 * @param shift semitones it is raised (positive) or lowered, −6 to 6
 * @param next whether the chord that comes next is meant
 */
public record ChordDegree(int tone, int shift, boolean next) {
  /** The bass of the chord. */
  public static final ChordDegree ROOT = new ChordDegree(1, 0, false);

  private static final Pattern TEXT = Pattern.compile("(>?)([b#]{0,6})(R|\\d{1,2})");

  /** Checks tone and shift. */
  public ChordDegree {
    if (tone < 1 || tone > 14 || Math.abs(shift) > 6) {
      throw new IllegalArgumentException(
          "a chord degree is R or 2 to 14, up to six semitones away, but was " + tone);
    }
  }

  /** Reads a degree; empty when it is none. */
  public static Optional<ChordDegree> find(String text) {
    Matcher matcher = TEXT.matcher(text.replace('♭', 'b').replace('♯', '#'));
    if (!matcher.matches()) {
      return Optional.empty();
    }
    int tone = matcher.group(3).equals("R") ? 1 : Integer.parseInt(matcher.group(3));
    int shift = 0;
    for (char sign : matcher.group(2).toCharArray()) {
      shift += sign == 'b' ? -1 : 1;
    }
    boolean known = tone >= 1 && tone <= 14;
    return known
        ? Optional.of(new ChordDegree(tone, shift, !matcher.group(1).isEmpty()))
        : Optional.empty();
  }

  /** Reads a degree; throws with a sentence when it is none. */
  public static ChordDegree parse(String text) {
    return find(text)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "a chord degree is R, or 2 to 14 such as 5 or b7, but was \"" + text + "\""));
  }

  @Override
  public String toString() {
    String sign = shift < 0 ? "b".repeat(-shift) : "#".repeat(shift);
    return (next ? ">" : "") + sign + (tone == 1 ? "R" : String.valueOf(tone));
  }
}
