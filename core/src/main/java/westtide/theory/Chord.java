package westtide.theory;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A chord symbol such as F♯m9 or A/C♯: a root, a quality and, after a slash, a bass note of its
 * own.
 *
 * @param root the note the chord is built on
 * @param quality what stands above the root
 * @param slashBass the bass note after the slash; empty when the root is the bass
 */
public record Chord(NoteName root, ChordQuality quality, Optional<NoteName> slashBass) {
  private static final Pattern TEXT =
      Pattern.compile("([A-G][#♯b♭]{0,2})(.*?)(?:/([A-G][#♯b♭]{0,2}))?");

  /** A bass equal to the root is no slash chord. */
  public Chord {
    slashBass = slashBass.filter(bass -> !bass.equals(root));
  }

  /** A chord on its root. */
  public static Chord of(NoteName root, ChordQuality quality) {
    return new Chord(root, quality, Optional.empty());
  }

  /**
   * Reads a symbol such as {@code "F#m9"}, {@code "Bb7(#9)"}, {@code "Dmaj7"} or {@code "A/C#"}.
   *
   * @throws IllegalArgumentException when the text is no chord symbol
   */
  public static Chord parse(String text) {
    return find(text)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "a chord is a root and a quality, such as F#m9, Dmaj7 or A/C#, but was \""
                        + text
                        + "\""));
  }

  /** As {@link #parse}, but empty when the text is no chord symbol. */
  public static Optional<Chord> find(String text) {
    Matcher matcher = TEXT.matcher(text.strip());
    if (!matcher.matches()) {
      return Optional.empty();
    }
    Optional<NoteName> bass = Optional.ofNullable(matcher.group(3)).map(NoteName::parse);
    NoteName root = NoteName.parse(matcher.group(1));
    return ChordQuality.find(matcher.group(2)).map(quality -> new Chord(root, quality, bass));
  }

  /** The same chord over a bass note. */
  public Chord withBass(NoteName bass) {
    return new Chord(root, quality, Optional.of(bass));
  }

  /** The same root with another quality; the bass stays. */
  public Chord withQuality(ChordQuality other) {
    return new Chord(root, other, slashBass);
  }

  /** The chord moved up by an interval, spelled by its steps. */
  public Chord plus(Interval interval) {
    return new Chord(
        root.plus(interval).simplest(), quality, slashBass.map(b -> b.plus(interval).simplest()));
  }

  /** The lowest note: the slash bass or the root. */
  public NoteName bass() {
    return slashBass.orElse(root);
  }

  /**
   * The chord tones from the root up, spelled; a slash bass outside the chord is not among them.
   */
  public List<NoteName> notes() {
    return quality.tones().stream().map(root::plus).toList();
  }

  /** The pitch classes (0 to 11) of the chord tones, from the root up. */
  public List<Integer> pitchClasses() {
    return notes().stream().map(NoteName::pitchClass).distinct().toList();
  }

  /** The pitch classes that sound: the chord tones and the bass. */
  public List<Integer> sounding() {
    return Stream.concat(pitchClasses().stream(), Stream.of(bass().pitchClass()))
        .distinct()
        .toList();
  }

  /** Whether a pitch class sounds in the chord, its bass included. */
  public boolean contains(int pitchClass) {
    int above = Math.floorMod(pitchClass - root.pitchClass(), 12);
    for (Interval tone : quality.tones()) {
      if (Math.floorMod(tone.semitones(), 12) == above) {
        return true;
      }
    }
    return bass().pitchClass() == pitchClass;
  }

  /** The symbol with printed signs, such as {@code "F♯m9"} or {@code "A/C♯"}. */
  @Override
  public String toString() {
    return root.toString() + quality + slashBass.map(bass -> "/" + bass).orElse("");
  }
}
