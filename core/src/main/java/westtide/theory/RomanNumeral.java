package westtide.theory;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A chord counted in a key, such as {@code "VImaj7"}, {@code "iv7"} or {@code "♭II"}.
 *
 * <p>Degrees are those of the key's own scale: in F♯ minor VI is D. Signs raise or lower from
 * there: ♭II is G, ♯vi is D♯m. Upper case is major, lower case minor. After a slash, a number is a
 * member of the chord ({@code "I/3"}) and a numeral a degree of the key ({@code "VI/VII"}).
 *
 * @param accidental semitones the degree is raised (positive) or lowered
 * @param degree 1 to 7
 * @param quality what stands above the root
 * @param bass the slash bass, or empty
 */
public record RomanNumeral(
    int accidental, int degree, ChordQuality quality, Optional<NumeralBass> bass) {
  static final List<String> ROMAN = List.of("I", "II", "III", "IV", "V", "VI", "VII");
  private static final String ANY = "VII|VI|IV|V|III|II|I|vii|vi|iv|v|iii|ii|i";
  private static final Pattern TEXT =
      Pattern.compile("([b#♭♯]{0,4})(" + ANY + ")(.*?)(?:/(?:([b#♭♯]{0,4})(" + ANY + ")|(\\d)))?");

  /**
   * Reads a numeral.
   *
   * @throws IllegalArgumentException when the text is no Roman numeral
   */
  public static RomanNumeral parse(String text) {
    return find(text)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "a Roman numeral is I to VII with a quality, such as VImaj7 or iv7, but was \""
                        + text
                        + "\""));
  }

  /** As {@link #parse}, but empty when the text is no Roman numeral. */
  public static Optional<RomanNumeral> find(String text) {
    Matcher matcher = TEXT.matcher(text.strip());
    if (!matcher.matches()) {
      return Optional.empty();
    }
    String roman = matcher.group(2);
    boolean lower = roman.equals(roman.toLowerCase(Locale.ROOT));
    return ChordQuality.find(prefixed(lower, matcher.group(3)))
        .map(
            quality ->
                new RomanNumeral(shift(matcher.group(1)), number(roman), quality, bass(matcher)));
  }

  /** How a chord is counted in a key: Dmaj7 in F♯ minor is VImaj7. */
  public static RomanNumeral of(Chord chord, Key key) {
    NumeralBass.KeyDegree root = counted(chord.root(), key);
    Optional<NumeralBass> bass = chord.slashBass().map(note -> bassOf(note, chord, key));
    return new RomanNumeral(root.accidental(), root.degree(), chord.quality(), bass);
  }

  /**
   * The chord this numeral stands for in a key; empty when the chord has no member of the number
   * after the slash.
   */
  public Optional<Chord> in(Key key) {
    Chord chord = Chord.of(note(accidental, degree, key), quality);
    if (bass.isEmpty()) {
      return Optional.of(chord);
    }
    if (bass.get() instanceof NumeralBass.KeyDegree counted) {
      return Optional.of(chord.withBass(note(counted.accidental(), counted.degree(), key)));
    }
    int member = ((NumeralBass.Member) bass.get()).degree();
    return quality.tone(member).map(tone -> chord.withBass(chord.root().plus(tone)));
  }

  private static String prefixed(boolean lower, String suffix) {
    boolean named = suffix.matches("(?:m(?!aj)|min|-|dim|°|o|ø|aug|\\+|5).*");
    return lower && !named ? "m" + suffix : suffix;
  }

  private static Optional<NumeralBass> bass(Matcher matcher) {
    if (matcher.group(6) != null) {
      return Optional.of(new NumeralBass.Member(Integer.parseInt(matcher.group(6))));
    }
    return Optional.ofNullable(matcher.group(5))
        .map(roman -> new NumeralBass.KeyDegree(shift(matcher.group(4)), number(roman)));
  }

  private static int shift(String signs) {
    return Accidentals.sum(Accidentals.typed(signs));
  }

  private static int number(String roman) {
    return ROMAN.indexOf(roman.toUpperCase(Locale.ROOT)) + 1;
  }

  private static NoteName note(int accidental, int degree, Key key) {
    NoteName natural = key.degree(degree);
    return new NoteName(natural.letter(), natural.accidental() + accidental);
  }

  private static NumeralBass.KeyDegree counted(NoteName note, Key key) {
    for (int degree = 1; degree <= ROMAN.size(); degree++) {
      NoteName natural = key.degree(degree);
      if (natural.letter() == note.letter()) {
        return new NumeralBass.KeyDegree(note.accidental() - natural.accidental(), degree);
      }
    }
    throw new IllegalStateException("every letter is a degree of a seven-note scale: " + note);
  }

  private static NumeralBass bassOf(NoteName note, Chord chord, Key key) {
    return chord.quality().tones().stream()
        .filter(tone -> chord.root().plus(tone).equals(note))
        .findFirst()
        .<NumeralBass>map(tone -> new NumeralBass.Member(tone.degree()))
        .orElseGet(() -> counted(note, key));
  }

  /** The numeral with printed signs, such as {@code "♭II"}, {@code "vii°7"} or {@code "III/3"}. */
  @Override
  public String toString() {
    String suffix = quality.suffix();
    boolean diminished = suffix.startsWith("dim");
    boolean lower = quality.minorThird();
    String shown =
        diminished
            ? "°" + suffix.substring(3)
            : suffix.startsWith("aug")
                ? "+" + suffix.substring(3)
                : lower ? suffix.substring(1) : suffix;
    if (shown.startsWith("Maj")) {
      shown = "maj" + shown.substring(3);
    }
    String roman = ROMAN.get(degree - 1);
    return Accidentals.of(accidental)
        + (lower ? roman.toLowerCase(Locale.ROOT) : roman)
        + Accidentals.printed(shown)
        + bass.map(b -> "/" + b).orElse("");
  }
}
