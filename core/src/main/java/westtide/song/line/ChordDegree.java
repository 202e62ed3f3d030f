package westtide.song.line;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A note said by its place in the chord heard below it, or in the key: {@code R} the bass of the
 * chord, {@code R3}, {@code R5} and {@code R7} its third, fifth and seventh, {@code R8} the bass an
 * octave up, {@code bR} a semitone below it. With {@code >} it belongs to the chord that comes
 * next, as a pick-up does. A figure without R, such as {@code b7}, is that degree of the key, as in
 * every other line.
 *
 * @param tone 1 for the bass or the tonic, 2 to 14 for members and steps above the root or tonic
 * @param shift semitones it is raised (positive) or lowered, −6 to 6
 * @param of what it is counted in
 */
public record ChordDegree(int tone, int shift, Of of) {
  /** What a degree is counted in. */
  public enum Of {
    /** The chord heard. */
    CHORD,
    /** The chord that comes next. */
    NEXT_CHORD,
    /** The key. */
    KEY
  }

  /** The bass of the chord. */
  public static final ChordDegree ROOT = new ChordDegree(1, 0, Of.CHORD);

  private static final Pattern MEMBER = Pattern.compile("(>?)([b#]{0,6})R(\\d{0,2})");
  private static final Pattern FIGURE = Pattern.compile("([b#]{0,6})(\\d{1,2})");
  private static final int MOST = 14;

  /** Checks tone and shift. */
  public ChordDegree {
    if (tone < 1 || tone > MOST || Math.abs(shift) > 6) {
      throw new IllegalArgumentException(
          "a chord degree is R or R2 to R14, up to six semitones away, but was " + tone);
    }
  }

  /** Reads a degree; empty when it is none. */
  public static Optional<ChordDegree> find(String text) {
    String plain = text.replace('♭', 'b').replace('♯', '#');
    Matcher member = MEMBER.matcher(plain);
    if (member.matches()) {
      int tone = member.group(3).isEmpty() ? 1 : Integer.parseInt(member.group(3));
      Of of = member.group(1).isEmpty() ? Of.CHORD : Of.NEXT_CHORD;
      return found(tone, member.group(2), of);
    }
    Matcher figure = FIGURE.matcher(plain);
    return figure.matches()
        ? found(Integer.parseInt(figure.group(2)), figure.group(1), Of.KEY)
        : Optional.empty();
  }

  private static Optional<ChordDegree> found(int tone, String signs, Of of) {
    int shift = 0;
    for (char sign : signs.toCharArray()) {
      shift += sign == 'b' ? -1 : 1;
    }
    return tone >= 1 && tone <= MOST
        ? Optional.of(new ChordDegree(tone, shift, of))
        : Optional.empty();
  }

  /** Reads a degree; throws with a sentence when it is none. */
  public static ChordDegree parse(String text) {
    return find(text)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "a chord degree is R, a member such as R5 or a degree of the key such as b7,"
                        + " but was \""
                        + text
                        + "\""));
  }

  /** Whether the chord that comes next is meant. */
  public boolean next() {
    return of == Of.NEXT_CHORD;
  }

  /** Whether it is a degree of the key, whatever chord is heard. */
  public boolean ofKey() {
    return of == Of.KEY;
  }

  @Override
  public String toString() {
    String sign = shift < 0 ? "b".repeat(-shift) : "#".repeat(shift);
    return ofKey()
        ? sign + tone
        : (next() ? ">" : "") + sign + "R" + (tone == 1 ? "" : String.valueOf(tone));
  }
}
